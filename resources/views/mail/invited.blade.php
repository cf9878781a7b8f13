{!! $invitation->user->name ?? 'An instructor' !!} asks you to {{ $invitation->role === 'marker' ? 'mark hand-ins' : 'set and mark work' }} in the course {!! $invitation->course->title !!}.

Open this address to accept. It works for {{ \App\Models\Invitation::DAYS }} days, and once:

{!! $link !!}

If you do not know what this is about, do nothing.
