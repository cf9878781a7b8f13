@props(['lines', 'numbered' => true])
@if ($lines !== [])
<pre class="quote" dir="ltr">@foreach ($lines as $line)@if ($numbered)<i>{{ $line->number }}</i>@endif{{ $line->before }}@if ($line->meant !== '')<b>{{ $line->meant }}</b>@endif{{ $line->after }}
@endforeach</pre>
@endif
