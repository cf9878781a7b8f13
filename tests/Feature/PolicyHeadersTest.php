<?php

declare(strict_types=1);

use App\Models\Upload;

const POLICY = ['Content-Security-Policy', 'X-Content-Type-Options', 'Referrer-Policy'];

it('gives every answer the headers of its policy', function (string $method, string $address, int $status) {
    $answer = $this->json($method, $address)->assertStatus($status);
    foreach (POLICY as $header) {
        $answer->assertHeader($header);
    }
})->with([
    'a page' => ['GET', '/', 200],
    'nothing there' => ['GET', '/api/none', 404],
    'nobody logged in' => ['GET', '/api/me', 401],
    'a wrong method' => ['DELETE', '/api/log-in', 405],
    'what is sent wrong' => ['POST', '/api/log-in', 422],
    'a program asking' => ['GET', '/health', 200],
    'an odd address' => ['GET', '/api/%00/x', 422],
]);

it('lets an error on the students’ host load nothing, and be shown in the application’s frame', function () {
    $policy = $this->get(config('margin.seen_url').'/seen/none/x.html')->headers->get('Content-Security-Policy');

    expect($policy)->toContain("default-src 'none'")->toContain('sandbox')
        ->toContain('frame-ancestors '.config('app.url'));
});

it('asks for encrypted connections from then on, once there is one', function () {
    $this->get('https://localhost/health')->assertHeader('Strict-Transport-Security');
    $this->get('http://localhost/health')->assertHeaderMissing('Strict-Transport-Security');
});

it('names no class where something is not found', function () {
    $words = $this->actingAs($this->instructor())->getJson('/api/courses/01890000-0000-7000-8000-000000000009')
        ->assertNotFound()->json('message');

    expect($words)->toBe('There is nothing at this address.');
});

it('lets nobody who marks write into what a student sends', function () {
    $work = $this->assignment($user = $this->instructor());
    $upload = Upload::query()->create([
        'assignment_id' => $work->id, 'student_id' => $work->course->students()->value('id'), 'name' => 'a.zip', 'bytes' => 4,
    ]);
    $this->actingAs($user)->call('PUT', "/api/uploads/$upload->id?offset=0", content: 'evil', server: [
        'HTTP_ACCEPT' => 'application/json',
    ])->assertNotFound();

    expect($upload->refresh()->received)->toBe(0);
});
