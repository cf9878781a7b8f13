<?php

declare(strict_types=1);

return [

    // Where student pages are shown from: another host than the application's, so that the browser keeps them apart.
    'seen_url' => env('SEEN_URL', 'http://localhost:8081'),

    // How long the address of a shown page works, in minutes.
    'seen_minutes' => (int) env('SEEN_MINUTES', 240),

    // The Laravel disk that holds hand-ins, by the SHA-256 of their bytes.
    'blob_disk' => env('BLOB_DISK', 'local'),

    // Invented hosts that the stand-in serves, and its address; no other address of this machine is ever fetched from.
    'stand_in_hosts' => env('STAND_IN_HOSTS', '*.wrenquay.example'),
    'stand_in' => env('STAND_IN'),

    // The program that prints replies and handouts to PDF. Where there is none, the rest works all the same.
    'chromium' => env('CHROMIUM', 'chromium'),

    // Who may ask for numbers from elsewhere: whoever sends it as a bearer token.
    'metrics_token' => env('METRICS_TOKEN'),

    // What stands before the application and tells it who asks, such as a balancer: IP addresses or blocks with commas
    // between them, or * for whatever asks.
    'trusted_proxies' => (string) env('TRUSTED_PROXIES', ''),

    // The largest upload that is taken, in kilobytes.
    'upload_kilobytes' => (int) env('UPLOAD_KILOBYTES', 65_536),

    // Whether everybody needs a code from an authenticator app to log in.
    'second_factor' => (bool) env('SECOND_FACTOR', false),

    // How much may be stored, in MB: of one student for one assignment (unpacked, all attempts), of one course, and of
    // all courses.
    'megabytes' => [
        'student' => (int) env('STUDENT_MEGABYTES', 500),
        'course' => (int) env('COURSE_MEGABYTES', 20_000),
        'installation' => (int) env('INSTALLATION_MEGABYTES', 100_000),
    ],

];
