@use(App\Replies\ReplyHtml)
@props(['item', 'file' => ''])
<div class="item{{ $item->kind === 'merit' ? ' merit' : '' }}">
<span class="quiet">{{ $item->line === null ? '' : ($item->endLine === null ? "line $item->line" : "lines $item->line–$item->endLine") }}</span>
<span>@if (ReplyHtml::sign($item->mark) !== null)<svg viewBox="0 0 24 24" role="img" aria-label="{{ ReplyHtml::sign($item->mark)['name'] }}"><path d="{{ ReplyHtml::sign($item->mark)['path'] }}"/></svg>@endif</span>
<div>
@if ($file !== '')<p class="quiet">{{ $file }}</p>@endif
<x-quote :lines="$item->lines" :numbered="count($item->lines) > 1"/>
@if ($item->html === null)
<p>{!! ReplyHtml::coded($item->text) !!} <span class="remedy">{!! ReplyHtml::coded($item->remedy ?? '') !!}</span></p>
@else
@if ($item->kind === 'question')<p class="quiet">A question:</p>@endif
<div dir="auto">{!! $item->html !!}</div>
@endif
</div>
</div>
