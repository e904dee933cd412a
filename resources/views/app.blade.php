<!doctype html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <meta name="theme-color" content="#10222B">
    <title>Vivid Pull</title>
    <meta name="description" content="Measures, sets and records the free play of every control that pulls a cable.">
    <link rel="icon" href="/icon.svg" type="image/svg+xml">
    <link rel="apple-touch-icon" href="/icon-192.png">
    <link rel="manifest" href="/manifest.webmanifest">
    @vite('resources/js/main.tsx')
</head>
<body>
    <div id="root"></div>
    <noscript>Vivid Pull needs JavaScript to read the bench.</noscript>
</body>
</html>
