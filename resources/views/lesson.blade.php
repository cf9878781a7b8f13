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
<p>{!! ReplyHtml::coded($page->message) !!}</p>
<h2>Why it matters</h2>
<p>{!! ReplyHtml::coded($page->why) !!}</p>
<h2>How it should be</h2>
<p class="remedy">{!! ReplyHtml::coded($page->remedy) !!}</p>
<h2>An example</h2>
<p class="quiet">Wrong:</p>
<pre>{{ $page->bad }}</pre>
<p class="quiet">Right:</p>
<pre>{{ $page->good }}</pre>
<p class="quiet">Source: {{ $page->source }}.</p>
</section>
@endforeach
</x-paper>
