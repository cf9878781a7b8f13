<!DOCTYPE html>
<html lang="en">
<head>
    <meta charset="utf-8">
    <meta name="viewport" content="width=device-width, initial-scale=1">
    <title>Inked Margin</title>
    <link rel="icon" href="{{ asset('mark.svg') }}" type="image/svg+xml">
    @vite('resources/js/main.tsx')
</head>
<body>
    <div id="desk"></div>
    <noscript>Inked Margin needs JavaScript to be on.</noscript>
</body>
</html>
