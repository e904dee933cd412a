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
    @foreach ($letters as $letter)
        <link rel="preload" href="{{ Vite::asset($letter) }}" as="font" type="font/woff2" crossorigin>
    @endforeach
    @if ($asksEarly)
        @vite('resources/js/first.ts')
    @endif
    @vite($scripts)
    {{-- What stands here until the application draws: its own first shapes (components/States.tsx), in the theme's colours. --}}
    <style>
        html:has(#meanwhile) { background: #E1E8EB }
        body:has(#meanwhile) { margin: 0 }
        #meanwhile { box-sizing: border-box; max-width: 80rem; margin: 0 auto; padding: 24px; font: .875rem/1.3 sans-serif; color: #4A5B64 }
        #meanwhile i { display: block; box-sizing: border-box; height: 9rem; margin-bottom: 16px; border: 1px solid #C7D1D5; border-radius: 12px; background: #F3F7F8 }
        #meanwhile i:first-child { height: 4rem }
        @media (prefers-color-scheme: dark) {
            html:has(#meanwhile) { background: #0B151A }
            #meanwhile { color: #B3C3CB }
            #meanwhile i { border-color: #3A525E; background: #1D313A }
        }
    </style>
    <noscript><style>#meanwhile { display: none }</style></noscript>
</head>
<body>
    <div id="root"><div id="meanwhile"><i></i><i></i><i></i>Fetching the workshop.</div></div>
    <noscript>Vivid Pull needs JavaScript to read the bench.</noscript>
</body>
</html>
