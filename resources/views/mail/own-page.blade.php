Hello {!! $student->name !!},

this is your own page for {!! $student->course->title !!}. There you find the work that is set, try your site and hand it in, and read the replies:

{!! $link !!}

The link is yours alone: whoever has it can hand in for you. Do not pass it on.
