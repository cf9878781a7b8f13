@use(App\Replies\ReplyHtml)
@props(['reasons'])
@foreach ($reasons as $reason)
<tr class="reason"><td>@if ($reason->place() !== '')<span class="quiet">{{ $reason->place() }}:</span> @endif{!! ReplyHtml::coded($reason->text) !!}</td><td>{{ $reason->cost > 0.0 ? "-$reason->cost" : '' }}</td></tr>
@endforeach
