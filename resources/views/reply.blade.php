@use(App\Replies\ReplyHtml)
<!DOCTYPE html>
<html lang="en">
<head>
<meta charset="utf-8">
<meta name="viewport" content="width=device-width, initial-scale=1">
<meta http-equiv="Content-Security-Policy" content="default-src 'none'; style-src 'unsafe-inline'">
<title>{{ $reply->assignment }}: {{ $reply->student }}</title>
<style>
body { background: #fdfbf5; color: #26231f; font: 17px/1.6 Georgia, serif; margin: 0 auto; max-width: 46em; padding: 2em 1.5em; }
h1 { font-weight: 500; margin: 0; }
h2 { border-bottom: 1px solid #d9cfb8; font-size: 1.25em; font-weight: 500; margin: 1.6em 0 0.5em; }
.quiet { color: #5b564d; font: 0.9em/1.45 system-ui, sans-serif; }
.item { break-inside: avoid; display: grid; gap: 0.8em; grid-template-columns: 4.5em 1.4em minmax(0, 1fr); padding: 0.35em 0; }
.item p { margin: 0; }
.remedy, ins { color: #2f2b73; }
.merit { color: #46581f; }
svg { fill: none; height: 1.2em; stroke: #2f2b73; stroke-linecap: round; stroke-linejoin: round; stroke-width: 1.8; width: 1.2em; }
code, pre { font-family: ui-monospace, monospace; font-size: 0.85em; overflow-wrap: anywhere; white-space: pre-wrap; }
del, ins { display: block; text-decoration: none; }
del { color: #5b564d; text-decoration: line-through; }
ins { font-weight: 700; }
table { border-collapse: collapse; width: 100%; }
th, td { font-weight: 400; padding: 0.2em 0; text-align: left; vertical-align: top; }
td { text-align: right; white-space: nowrap; }
tfoot th, tfoot td { border-top: 1px solid #d9cfb8; font-weight: 600; }
@media print { body { background: none; max-width: none; padding: 0; } }
</style>
</head>
<body>
<h1>{{ $reply->assignment }}</h1>
<p class="quiet">{{ $reply->student }}, {{ $reply->course }}, attempt {{ $reply->attempt }}</p>
@if ($reply->opening !== null)
<div dir="auto">{!! $reply->opening->html !!}</div>
@endif
@foreach ($reply->pages as $page)
<section>
<h2>{{ $page->file === '' ? 'The whole hand-in' : $page->file }}</h2>
@foreach ($page->items as $item)
<div class="item{{ $item->kind === 'merit' ? ' merit' : '' }}">
<span class="quiet">{{ $item->line === null ? '' : ($item->endLine === null ? "line $item->line" : "lines $item->line–$item->endLine") }}</span>
<span>@if (ReplyHtml::sign($item->mark) !== null)<svg viewBox="0 0 24 24" role="img" aria-label="{{ ReplyHtml::sign($item->mark)['name'] }}"><path d="{{ ReplyHtml::sign($item->mark)['path'] }}"/></svg>@endif</span>
<div>
@if ($item->html === null)
<p>{!! ReplyHtml::coded($item->text) !!} <span class="remedy">{!! ReplyHtml::coded($item->remedy ?? '') !!}</span></p>
@else
@if ($item->kind === 'question')<p class="quiet">A question:</p>@endif
<div dir="auto">{!! $item->html !!}</div>
@endif
</div>
</div>
@endforeach
</section>
@endforeach
@foreach ($reply->mended as $mended)
<section>
<h2>{{ $mended->file }}, mended</h2>
<p>What is struck goes, what is bold comes in its place.{{ $mended->follow ? ' Follow this page when you mend the others.' : '' }}</p>
@foreach ($mended->places as $place)
<p class="quiet">from line {{ $place->line }}</p>
<pre>@foreach ($place->lines as $line)@if ($line->step === 'added')<ins>{{ $line->text }}</ins>@elseif ($line->step === 'removed')<del>{{ $line->text }}</del>@else<span>{{ $line->text }}
</span>@endif
@endforeach</pre>
@endforeach
</section>
@endforeach
@if ($reply->points !== [])
<section>
<h2>Points</h2>
<table>
<tbody>
@foreach ($reply->points as $point)
<tr><th scope="row">{{ $point->title }}@if ($point->reason !== null) <span class="quiet">({{ $point->reason }})</span>@endif</th><td>{{ $point->awarded }} of {{ $point->possible }}</td></tr>
@endforeach
@foreach ($reply->others as $line)
<tr><th scope="row">{{ $line->title }} <span class="quiet">({{ $line->how }})</span></th><td>{{ $line->points }}</td></tr>
@endforeach
</tbody>
<tfoot><tr><th scope="row">All of it</th><td>{{ $reply->awarded }} of {{ $reply->possible }}</td></tr></tfoot>
</table>
</section>
@endif
@if ($reply->closing !== null)
<div dir="auto">{!! $reply->closing->html !!}</div>
@endif
</body>
</html>
