Somebody, probably you, asked to set another password for this address.

Open this address to do so. It works for an hour, and once:

{!! $link !!}

If it was not you, do nothing: your password stays as it is.
