@use(App\Replies\ReplyHtml)
<x-paper :title="$reply->assignment.': '.$reply->student" :font="$font">
<h1>{{ $reply->assignment }}</h1>
<p class="quiet">{{ $reply->student }}, {{ $reply->course }}, attempt {{ $reply->attempt }}</p>
@if ($reply->opening !== null)
<div dir="auto">{!! $reply->opening->html !!}</div>
@endif
@if ($reply->supersedes !== null)
<section>
<h2>Changed since the reply of {{ $supersededAt }}</h2>
<ul>
@foreach ($reply->supersedes->changes as $change)
<li><span class="quiet">{{ ['added' => 'Added', 'taken out' => 'Taken out', 'points' => 'Points'][$change->kind] }}, {{ $change->place }}:</span> {!! ReplyHtml::coded($change->text) !!}</li>
@endforeach
</ul>
</section>
@endif
@if ($reply->merits() !== [])
<section>
<h2>Well done</h2>
@foreach ($reply->merits() as [$file, $item])
<x-reply-item :item="$item" :file="$file"/>
@endforeach
</section>
@endif
@if ($reply->points !== [])
<section>
<h2>Points</h2>
<table>
<tbody>
@foreach ($reply->points as $point)
<tr><th scope="row">{{ $point->title }}@if ($point->note() !== null) <span class="quiet">({{ $point->note() }})</span>@endif</th><td>{{ $point->words() }}</td></tr>
<x-reply-reasons :reasons="$point->reasons"/>
@endforeach
@foreach ($reply->others as $line)
<tr><th scope="row">{{ $line->title }} <span class="quiet">({{ $line->how }})</span></th><td>{{ $line->points }}</td></tr>
<x-reply-reasons :reasons="$line->reasons"/>
@endforeach
</tbody>
<tfoot><tr><th scope="row">All of it</th><td>{{ $reply->awarded }} of {{ $reply->possible }}</td></tr></tfoot>
</table>
@if ($reply->open() > 0.0)
<p class="quiet">These points are provisional: {{ $reply->open() }} of them are not judged yet.</p>
@endif
</section>
@endif
@foreach ($reply->remarks() as $page)
<section>
<h2>{{ $page->file === '' ? 'The whole hand-in' : $page->file }}</h2>
@foreach ($page->items as $item)
<x-reply-item :item="$item"/>
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
@if ($reply->closing !== null)
<div dir="auto">{!! $reply->closing->html !!}</div>
@endif
</x-paper>
