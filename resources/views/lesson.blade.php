@use(App\Replies\ReplyHtml)
<x-paper :title="'Next lesson: '.$lesson->assignment" :font="$font">
@foreach ($lesson->pages as $page)
<section class="sheet">
<p class="quiet">{{ $lesson->course }}, {{ $lesson->assignment }}</p>
<h1>{!! ReplyHtml::coded($page->title) !!}</h1>
<p class="quiet">In {{ $page->handIns }} {{ $page->handIns === 1 ? 'hand-in' : 'hand-ins' }} of this class.</p>
<h2>What was written</h2>
@foreach ($page->written as $quote)
<p class="quiet">{{ $quote->file }}</p>
<x-quote :lines="$quote->lines"/>
@endforeach
<h2>Why it matters</h2>
<p>{!! ReplyHtml::coded($page->why) !!}</p>
<h2>How it should be</h2>
<p class="remedy">{!! ReplyHtml::coded($page->remedy) !!}</p>
<pre>{{ $page->good }}</pre>
</section>
@endforeach
</x-paper>
