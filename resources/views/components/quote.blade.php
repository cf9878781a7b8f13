@props(['lines'])
@if ($lines !== [])
<pre class="quote" dir="ltr">@foreach ($lines as $line)<i>{{ $line->number }}</i>{{ $line->before }}@if ($line->meant !== '')<b>{{ $line->meant }}</b>@endif{{ $line->after }}
@endforeach</pre>
@endif
