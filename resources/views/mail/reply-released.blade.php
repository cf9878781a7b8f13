Hello {!! $handIn->student->name !!},

your reply for {!! $handIn->assignment->title !!} ({!! $handIn->assignment->course->title !!}) is there. You read it here:

{!! $link !!}

The link is yours alone: whoever has it can hand in for you. Do not pass it on.
