<!doctype html>
<html lang="en">
<head>
<meta charset="utf-8">
<title>{{ $title }}</title>
<style>
@page { margin: 16mm 15mm 17mm; }
body { font-family: 'Atkinson Hyperlegible Next'; font-size: 9.6pt; line-height: 1.32; color: #10222B; margin: 0; }
h1, h2, h3, th, .tag, .outcome { font-family: 'Sofia Sans Condensed'; font-weight: bold; margin: 0; }
h1 { font-size: 21pt; line-height: 1.05; }
h2 { font-size: 13pt; margin: 13pt 0 3pt; border-bottom: 1.2pt solid #10222B; padding-bottom: 1.5pt; }
h3 { font-size: 11pt; margin: 7pt 0 1pt; }
table { width: 100%; border-collapse: collapse; }
th { text-align: left; font-size: 9.5pt; color: #4A5B64; padding: 2pt 5pt 2pt 0; vertical-align: bottom; }
td { padding: 3pt 5pt 3pt 0; border-top: .6pt solid #C7D1D5; vertical-align: top; }
.head td { border: 0; padding: 0; vertical-align: middle; }
.tag { background: #F2B705; font-size: 15pt; padding: 4pt 9pt 5pt; white-space: nowrap; }
.tag.stop { background: #B3221B; color: #FFFFFF; }
.soft { color: #4A5B64; }
.small { font-size: 8.4pt; }
.outcome { border: 1.6pt solid #10222B; font-size: 15pt; padding: 6pt 10pt; margin-top: 10pt; }
.outcome.fit { border-color: #0B6E6E; background: #E4F3F0; }
.outcome.checked { border-color: #0B6B63; background: #E3F2EF; }
.outcome.by_choice { border-color: #B45309; background: #FCE5D0; }
.outcome.tagged { border-color: #B3221B; background: #FBE3E1; }
.outcome .why { font-family: 'Atkinson Hyperlegible Next'; font-weight: normal; font-size: 10pt; }
.mark { width: 9pt; height: 9pt; }
.figure { font-size: 13pt; font-weight: bold; white-space: nowrap; }
.note { background: #E7E3F8; padding: 3pt 6pt; }
.foot { position: fixed; bottom: -9mm; left: 0; right: 0; font-size: 7.8pt; color: #4A5B64; border-top: .6pt solid #C7D1D5; padding-top: 2pt; }
.keep { page-break-inside: avoid; }
.line { border-bottom: .8pt solid #10222B; height: 17pt; }
.void { text-decoration: line-through; }
</style>
</head>
<body>
<div class="foot">@yield('foot') The machine's own manual and local law win over anything here; ask a qualified technician when in doubt.</div>
@yield('body')
</body>
</html>
