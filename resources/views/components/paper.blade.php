@props(['title', 'font' => ''])
{{-- A page that loads nothing from elsewhere: what is taken along, and what is printed. --}}
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'; font-src data:">
<title>{{ $title }}</title>
<style>
{!! $font !!}
body { background: #fdfbf5; color: #26231f; font: 17px/1.6 Literata, Georgia, serif; margin: 0 auto; max-width: 46em; padding: 2em 1.5em; }
h1 { font-weight: 500; margin: 0; }
h2 { border-bottom: 1px solid #d9cfb8; break-after: avoid; font-size: 1.25em; font-weight: 500; margin: 1.6em 0 0.5em; }
h3 { break-after: avoid; font-size: 1em; margin: 1.2em 0 0.3em; }
.quiet { color: #5b564d; font: 0.9em/1.45 system-ui, sans-serif; }
.item { break-inside: avoid; display: grid; gap: 0.8em; grid-template-columns: 4.5em 1.4em minmax(0, 1fr); padding: 0.35em 0; }
.item p { margin: 0; }
.remedy, ins { color: #2f2b73; }
.merit { color: #46581f; }
svg { fill: none; height: 1.2em; stroke: #2f2b73; stroke-linecap: round; stroke-linejoin: round; stroke-width: 1.8; width: 1.2em; }
code, pre { font-family: ui-monospace, monospace; font-size: 0.85em; overflow-wrap: anywhere; white-space: pre-wrap; }
pre.quote { color: #5b564d; margin: 0.3em 0; }
.quote b { border-bottom: 1px solid #2f2b73; color: #26231f; font-weight: 600; }
.quote i { color: #7a746a; display: inline-block; font-style: normal; margin-right: 1em; min-width: 2em; text-align: right; user-select: none; }
del, ins { display: block; text-decoration: none; }
del { color: #5b564d; text-decoration: line-through; }
ins { font-weight: 700; }
table { border-collapse: collapse; width: 100%; }
th, td { font-weight: 400; padding: 0.2em 0; text-align: left; vertical-align: top; }
td { padding-left: 1em; text-align: right; white-space: nowrap; }
tr { break-inside: avoid; }
tfoot th, tfoot td { border-top: 1px solid #d9cfb8; font-weight: 600; }
.sheet { break-after: page; }
.sheet:last-child { break-after: auto; }
@page { margin: 18mm; size: A4; }
@media print { body { background: none; font-size: 11pt; max-width: none; padding: 0; } }
</style>
</head>
<body>
{{ $slot }}
</body>
</html>
