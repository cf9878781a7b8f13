<?php

declare(strict_types=1);

use App\Courses\CoursePolicy;
use App\Models\BelongsToCourse;
use App\Providers\AppServiceProvider;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Gate;
use Illuminate\Support\Facades\Route;

it('has a policy for every model that belongs to a course', function () {
    $models = collect(File::files(app_path('Models')))->map(fn ($file) => 'App\\Models\\'.$file->getBasename('.php'))
        ->filter(fn (string $class) => class_exists($class) && is_subclass_of(
            $class,
            BelongsToCourse::class,
        ))->values();

    expect($models->diff(AppServiceProvider::GUARDED)->all())->toBe([])
        ->and($models->every(fn (string $class) => Gate::getPolicyFor($class) instanceof CoursePolicy))->toBeTrue();
});

it('lets nobody reach another’s course, and strangers not even the door', function (
    string $method,
    string $address,
    array $body = [],
) {
    $handIn = $this->handIn($this->assignment($this->instructor()));
    $note = $handIn->remarks()->create([
        'user_id' => \App\Models\User::query()->value('id'),
        'body' => 'A note',
        'kind' => 'note',
    ]);
    $places = [
        '{course}' => $handIn->assignment->course_id,
        '{assignment}' => $handIn->assignment_id,
        '{handIn}' => $handIn->id,
        '{note}' => $note->id,
        '{finding}' => $handIn->run->findings[0]->fingerprint,
        '{student}' => $handIn->student_id,
        '{role}' => 'starter',
        '{person}' => \App\Models\User::query()->value('id'),
        '{invitation}' => \App\Models\Invitation::query()->create([
            'course_id' => $handIn->assignment->course_id, 'email' => 'i@example.org', 'role' => 'marker',
            'token_sha256' => str_repeat('a', 64), 'expires_at' => now()->addDay(),
        ])->id,
        '{arrival}' => \App\Models\Arrival::query()->value('id'),
        '{stockRemark}' => \App\Models\StockRemark::query()->create(
            ['course_id' => $handIn->assignment->course_id, 'body' => 'x'],
        )->id,

        '{form}' => 'csv',
        '{ending}' => str_contains($address, 'gradebook') ? 'csv' : 'md',
        '{work}' => $handIn->assignment_id,
        '{upload}' => \App\Models\Upload::query()->create(
            ['assignment_id' => $handIn->assignment_id, 'name' => 'x', 'bytes' => 1],
        )->id,
        '{extension}' => $handIn->assignment->extensions()->create([
            'student_id' => $handIn->student_id, 'waived' => true, 'reason' => 'x',
            'user_id' => \App\Models\User::query()->value('id'),
        ])->id,
        '{number}' => '0',
        '{drop}' => '00000000-0000-7000-8000-000000000000',
    ];
    $address = '/api/'.strtr($address, $places);

    $this->json($method, $address, $body)->assertUnauthorized();
    $this->actingAs($this->instructor('other@example.org'))->json($method, $address, $body)->assertForbidden();
})->with([
    ['GET', 'courses/{course}'],
    ['GET', 'courses/{course}/space'],
    ['PUT', 'courses/{course}', ['title' => 'x']],
    ['DELETE', 'courses/{course}', ['title' => 'x']],
    ['PUT', 'courses/{course}/put-away'],
    ['DELETE', 'courses/{course}/put-away'],
    ['POST', 'assignments/{assignment}/uploads', ['name' => 'x', 'bytes' => 1]],
    ['PUT', 'uploads/{upload}'],
    ['POST', 'uploads/{upload}/arrival', ['packed' => false]],
    ['DELETE', 'assignments/{assignment}/drops/{drop}'],
    ['GET', 'courses/{course}/link'],
    ['PUT', 'courses/{course}/link'],
    ['DELETE', 'courses/{course}/link'],
    ['POST', 'courses/{course}/student-links'],
    ['POST', 'courses/{course}/student-links/letters'],
    ['DELETE', 'students/{student}/link'],
    ['PUT', 'courses/{course}/order', ['ids' => []]],
    ['GET', 'courses/{course}/gradebook'],
    ['PUT', 'courses/{course}/gradebook', ['parts' => []]],
    ['GET', 'courses/{course}/gradebook.{ending}'],
    ['POST', 'courses/{course}/marks/preview', ['text' => 'x']],
    ['POST', 'courses/{course}/marks', ['text' => 'x']],
    ['DELETE', 'courses/{course}/marks/{work}'],
    ['GET', 'courses/{course}/term'],
    ['GET', 'students/{student}/term'],
    ['GET', 'courses/{course}/records'],
    ['POST', 'courses/{course}/records'],
    ['GET', 'courses/{course}/records.zip'],
    ['GET', 'students/{student}/records'],
    ['POST', 'students/{student}/records'],
    ['GET', 'students/{student}/records.zip'],
    ['DELETE', 'students/{student}', ['title' => 'x']],
    ['GET', 'students/{student}/grades'],
    ['PUT', 'students/{student}/grades/{work}', ['points' => 1, 'reason' => 'x']],
    ['DELETE', 'students/{student}/grades/{work}'],
    ['GET', 'courses/{course}/stock-remarks'],
    ['GET', 'courses/{course}/stock-remarks.{form}'],
    ['POST', 'courses/{course}/stock-remarks', ['body' => 'x']],
    ['POST', 'courses/{course}/stock-remarks/file', ['text' => 'x']],
    ['PUT', 'courses/{course}/stock-remarks/{stockRemark}', ['body' => 'x']],
    ['DELETE', 'courses/{course}/stock-remarks/{stockRemark}'],
    ['POST', 'courses/{course}/stock-remarks/{stockRemark}/uses'],
    ['POST', 'courses/{course}/carry-over', ['title' => 'x']],
    ['GET', 'courses/{course}/people'],
    ['GET', 'courses/{course}/deeds'],
    ['POST', 'courses/{course}/invitations', ['email' => 'x']],
    ['DELETE', 'invitations/{invitation}'],
    ['PUT', 'courses/{course}/people/{person}', ['role' => 'marker']],
    ['DELETE', 'courses/{course}/people/{person}'],
    ['POST', 'courses/{course}/roster/preview', ['text' => 'x']],
    ['PUT', 'courses/{course}/roster', ['text' => 'x']],
    ['GET', 'courses/{course}/roster.csv'],
    ['POST', 'courses/{course}/students', ['name' => 'x']],
    ['PUT', 'students/{student}', ['name' => 'x']],
    ['POST', 'courses/{course}/assignments', ['title' => 'x']],
    ['GET', 'assignments/{assignment}'],
    ['PUT', 'assignments/{assignment}', ['title' => 'x']],
    ['DELETE', 'assignments/{assignment}', ['title' => 'x']],
    ['POST', 'assignments/{assignment}/copy'],
    ['PUT', 'assignments/{assignment}/closed'],
    ['DELETE', 'assignments/{assignment}/closed'],
    ['GET', 'assignments/{assignment}/brief/draft'],
    ['PUT', 'assignments/{assignment}/brief/draft', ['source' => 'x', 'version' => 0]],
    ['DELETE', 'assignments/{assignment}/brief/draft'],
    ['GET', 'assignments/{assignment}/brief/sites'],
    ['GET', 'assignments/{assignment}/sites/model'],
    ['GET', 'assignments/{assignment}/sites/model/seen'],
    ['GET', 'assignments/{assignment}/sites/model/survey'],
    ['GET', 'assignments/{assignment}/sites/model/source/index.html'],
    ['POST', 'assignments/{assignment}/brief/reading', ['source' => 'x']],
    ['GET', 'assignments/{assignment}/materials'],
    ['POST', 'assignments/{assignment}/materials/{role}'],
    ['DELETE', 'assignments/{assignment}/materials/{role}'],
    ['GET', 'assignments/{assignment}/brief/proposal'],
    ['PUT', 'assignments/{assignment}/brief', ['source' => 'x']],
    ['GET', 'assignments/{assignment}/class-sheet'],
    ['GET', 'assignments/{assignment}/slips'],
    ['POST', 'assignments/{assignment}/slips', ['rule' => 'x', 'variant' => '', 'does' => 'inked']],
    ['GET', 'assignments/{assignment}/lesson'],
    ['GET', 'assignments/{assignment}/lesson.{ending}'],
    ['GET', 'assignments/{assignment}/arrivals'],
    ['POST', 'assignments/{assignment}/arrivals', ['files' => ['x']]],
    ['POST', 'assignments/{assignment}/addresses', ['text' => 'x']],
    ['PATCH', 'arrivals/{arrival}', ['student' => '01890000-0000-7000-8000-000000000000']],
    ['GET', 'hand-ins/{handIn}'],
    ['GET', 'hand-ins/{handIn}/findings'],
    ['GET', 'hand-ins/{handIn}/source/index.html'],
    ['GET', 'hand-ins/{handIn}/survey'],
    ['POST', 'assignments/{assignment}/brief/trial'],
    ['PUT', 'hand-ins/{handIn}/chosen'],
    ['POST', 'hand-ins/{handIn}/check'],
    ['DELETE', 'hand-ins/{handIn}/chosen'],
    ['GET', 'hand-ins/{handIn}/looks'],
    ['GET', 'hand-ins/{handIn}/elements'],
    ['GET', 'hand-ins/{handIn}/seen'],
    ['PUT', 'hand-ins/{handIn}/verdicts/{finding}', ['state' => 'inked']],
    ['POST', 'hand-ins/{handIn}/notes', ['body' => 'x', 'kind' => 'note']],
    ['PUT', 'notes/{note}', ['body' => 'x', 'kind' => 'note']],
    ['DELETE', 'notes/{note}'],
    ['GET', 'hand-ins/{handIn}/alike/{finding}'],
    ['PUT', 'hand-ins/{handIn}/alike/{finding}', ['state' => 'inked', 'reach' => 'class']],
    ['PUT', 'hand-ins/{handIn}/here', ['seconds' => 1]],
    ['GET', 'hand-ins/{handIn}/attempts'],
    ['GET', 'hand-ins/{handIn}/words'],
    ['PUT', 'hand-ins/{handIn}/put-by', ['why' => 'x']],
    ['DELETE', 'hand-ins/{handIn}/put-by'],
    ['GET', 'hand-ins/{handIn}/mended/index.html'],
    ['PUT', 'hand-ins/{handIn}/mended/index.html', ['text' => 'x']],
    ['PATCH', 'hand-ins/{handIn}/mended/index.html', ['inReply' => true, 'follow' => false]],
    ['GET', 'hand-ins/{handIn}/mended-steps/{number}/index.html'],
    ['POST', 'hand-ins/{handIn}/mended-check/index.html', ['text' => 'x']],
    ['PUT', 'hand-ins/{handIn}/marks/files', ['points' => 1, 'reason' => 'x']],
    ['DELETE', 'hand-ins/{handIn}/marks/files'],
    ['GET', 'hand-ins/{handIn}/reply'],
    ['GET', 'hand-ins/{handIn}/reply.md'],
    ['GET', 'hand-ins/{handIn}/reply.html'],
    ['GET', 'hand-ins/{handIn}/reply.pdf'],
    ['GET', 'assignments/{assignment}/replies'],
    ['POST', 'assignments/{assignment}/replies', ['handIns' => []]],
    ['POST', 'hand-ins/{handIn}/replies'],
    ['PUT', 'assignments/{assignment}/extensions', ['reason' => 'x']],
    ['DELETE', 'extensions/{extension}'],
    ['PUT', 'assignments/{assignment}/left-out/files', ['reason' => 'x']],
    ['DELETE', 'assignments/{assignment}/left-out/files'],
    ['GET', 'assignments/{assignment}/judging/files'],
    ['POST', 'assignments/{assignment}/reasons', ['state' => 'inked']],
    ['POST', 'hand-ins/{handIn}/reasons', ['state' => 'inked']],
]);

it('lets a marker read and mark, and only an instructor change what is asked and who is there', function () {
    $handIn = $this->handIn($this->assignment($this->instructor()));
    $marker = $this->instructor('marker@example.org');
    $handIn->assignment->course->users()->attach($marker, ['role' => 'marker']);
    $places = [
        'course' => $handIn->assignment->course, 'assignment' => $handIn->assignment, 'handIn' => $handIn,
        'student' => $handIn->student,
        'arrival' => \App\Models\Arrival::query()->firstOrFail(), 'note' => null, 'invitation' => null,
        'upload' => null,
        'extension' => $handIn->assignment->extensions()->create([
            'student_id' => $handIn->student_id, 'waived' => true, 'reason' => 'x',
            'user_id' => \App\Models\User::query()->value('id'),
        ]),
    ];
    $asked = [];
    foreach (Route::getRoutes()->getRoutes() as $route) {
        foreach ($route->gatherMiddleware() as $guard) {
            if (
                is_string($guard)
                && preg_match('/^can:(\w+),(\w+)$/', $guard, $parts) === 1
                && $places[$parts[2]] !== null
            ) {
                $asked["{$route->methods()[0]} {$route->uri()}"] = [$parts[1], $places[$parts[2]]];
            }
        }
    }

    expect(count($asked))->toBeGreaterThan(30);
    foreach ($asked as $name => [$ability, $model]) {
        expect([$name, $marker->can($ability, $model), $this->instructor("o-$name@example.org")->can($ability, $model)])
            ->toBe([$name, $ability !== 'direct', false]);
        expect(\App\Models\User::query()->where(
            'email',
            'teacher@example.org',
        )->sole()->can($ability, $model))->toBeTrue($name);
    }
    $this->actingAs($marker)->getJson("/api/assignments/$handIn->assignment_id")->assertOk();
    $this->putJson("/api/assignments/$handIn->assignment_id/brief", ['source' => 'x'])->assertForbidden();
    $this->putJson("/api/courses/{$handIn->assignment->course_id}", ['title' => 'x'])->assertForbidden();
});
