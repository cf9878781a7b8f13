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

// What is not about one course is for everybody who has logged in: it looks up what is theirs by itself.
const OWN = [
    'me', 'changeMe', 'beginSecondFactor', 'confirmSecondFactor', 'endSecondFactor', 'logOut', 'outbox', 'search', 'rule',
    'shelf', 'oldCourses', 'briefKinds', 'previewNote', 'takeAlikeBack',
];

/** The routes for which one has to be logged in, by name. */
function guardedRoutes(): array
{
    return array_filter(
        Route::getRoutes()->getRoutesByName(),
        fn ($route) => in_array('auth', $route->gatherMiddleware(), true),
    );
}

/** What a route asks of whoever calls it: an ability and the name of a parameter; null for nothing. */
function guardOf(Illuminate\Routing\Route $route): ?array
{
    $guards = preg_grep('/^can:/', array_filter($route->gatherMiddleware(), is_string(...)));

    return $guards === [] ? null : explode(',', substr(reset($guards), 4));
}

it('asks who may, of every route that is about a course', function () {
    $free = array_keys(array_filter(guardedRoutes(), fn ($route) => guardOf($route) === null));

    expect($free)->toEqualCanonicalizing(OWN);
});

it('lets nobody reach another’s course, and strangers not even the door', function () {
    $handIn = $this->handIn($this->assignment($this->instructor()));
    $user = \App\Models\User::query()->value('id');
    $course = $handIn->assignment->course_id;
    $places = [
        'course' => $course,
        'assignment' => $handIn->assignment_id,
        'handIn' => $handIn->id,
        'note' => $handIn->remarks()->create(['user_id' => $user, 'body' => 'A note', 'kind' => 'note'])->id,
        'fingerprint' => $handIn->run->findings[0]->fingerprint,
        'student' => $handIn->student_id,
        'role' => 'starter',
        'site' => 'model',
        'path' => 'index.html',
        'requirement' => 'files',
        'person' => $user,
        'invitation' => \App\Models\Invitation::query()->create([
            'course_id' => $course, 'email' => 'i@example.org', 'role' => 'marker',
            'token_sha256' => str_repeat('a', 64), 'expires_at' => now()->addDay(),
        ])->id,
        'arrival' => \App\Models\Arrival::query()->value('id'),
        'stockRemark' => \App\Models\StockRemark::query()->create(['course_id' => $course, 'body' => 'x'])->id,
        'form' => 'csv',
        'work' => $handIn->assignment_id,
        'upload' => \App\Models\Upload::query()->create(
            ['assignment_id' => $handIn->assignment_id, 'name' => 'x', 'bytes' => 1],
        )->id,
        'extension' => $handIn->assignment->extensions()->create([
            'student_id' => $handIn->student_id, 'waived' => true, 'reason' => 'x', 'user_id' => $user,
        ])->id,
        'number' => '0',
        'drop' => '00000000-0000-7000-8000-000000000000',
    ];
    $calls = [];
    foreach (guardedRoutes() as $name => $route) {
        $ending = str_contains($route->uri(), 'gradebook') ? 'csv' : 'md';
        $given = array_intersect_key([...$places, 'ending' => $ending], array_flip($route->parameterNames()));
        if (array_intersect(array_keys($given), ['course', 'assignment', 'handIn', 'student', 'note', 'upload', 'arrival',
            'invitation', 'extension']) !== []) {
            $calls[$name] = [$route->methods()[0], route($name, $given, false)];
        }
    }
    $this->withoutMiddleware(Illuminate\Routing\Middleware\ThrottleRequests::class);
    $statuses = fn () => array_map(fn (array $call) => $this->json(...$call)->status(), $calls);

    expect(count($calls))->toBeGreaterThan(120)
        ->and(array_diff($statuses(), [401]))->toBe([]);
    $this->actingAs($this->instructor('other@example.org'));
    expect(array_diff($statuses(), [403]))->toBe([]);
});

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
    foreach (guardedRoutes() as $name => $route) {
        [$ability, $place] = [...guardOf($route) ?? [], null, null];
        if ($place !== null && $places[$place] !== null) {
            $asked[$name] = [$ability, $places[$place]];
        }
    }

    expect(count($asked))->toBeGreaterThan(30);
    foreach ($asked as $name => [$ability, $model]) {
        expect([$name, $marker->can($ability, $model), $this->instructor("o-$name@example.org")->can($ability, $model)])
            ->toBe([$name, $ability !== 'manage', false]);
        expect(\App\Models\User::query()->where(
            'email',
            'teacher@example.org',
        )->sole()->can($ability, $model))->toBeTrue($name);
    }
    $this->actingAs($marker)->getJson("/api/assignments/$handIn->assignment_id")->assertOk();
    $this->putJson("/api/assignments/$handIn->assignment_id/brief", ['source' => 'x'])->assertForbidden();
    $this->putJson("/api/courses/{$handIn->assignment->course_id}", ['title' => 'x'])->assertForbidden();
});
