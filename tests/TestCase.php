<?php

declare(strict_types=1);

namespace Tests;

use App\Models\Arrival;
use App\Models\Assignment;
use App\Models\Course;
use App\Models\HandIn;
use App\Models\Student;
use App\Models\User;
use App\Storage\BlobStore;
use Illuminate\Contracts\Auth\Authenticatable;
use Illuminate\Foundation\Application;
use Illuminate\Foundation\Testing\TestCase as Base;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\File;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use Illuminate\Testing\TestResponse;
use InkedMargin\Core\Tests\Samples;
use PHPUnit\Framework\Assert;

abstract class TestCase extends Base
{
    protected const BRIEF = "title: Trial\nrequirements:\n  - {id: files, title: Files, kind: files, names: [index.html, a.html], points: 4}\n";

    public function createApplication(): Application
    {
        $app = parent::createApplication();
        $process = getenv('TEST_TOKEN');
        if ($process !== false) {
            // Tests that run at the same time have folders of their own.
            $app->useStoragePath($app->storagePath("process-$process"));
            File::ensureDirectoryExists($app->storagePath('framework/testing'));
        }

        return $app;
    }

    protected function setUp(): void
    {
        parent::setUp();
        Storage::fake('local');
    }

    /** Somebody else in the same browser has another password, which would end the session. */
    public function actingAs(Authenticatable $user, $guard = null): static
    {
        session()->forget('password_hash_web');

        return parent::actingAs($user, $guard);
    }

    /** Every answer of the API is held against its description. */
    public function call(
        $method,
        $uri,
        $parameters = [],
        $cookies = [],
        $files = [],
        $server = [],
        $content = null,
    ): TestResponse {
        $response = parent::call($method, $uri, $parameters, $cookies, $files, $server, $content);
        $name = Route::current()?->getName();
        if ($name !== null && $method !== 'HEAD' && str_starts_with((string) Route::current()?->uri(), 'api/')) {
            $wrong = DescribedResponses::problem($name, $response->baseResponse);
            Assert::assertNull($wrong, "The answer of $name is not as docs/openapi.json says: $wrong");
        }

        return $response;
    }

    protected function instructor(string $email = 'teacher@example.org'): User
    {
        return User::factory()->createOne(['email' => $email]);
    }

    /** An assignment of a course with the given students (name by handle), taught by `$user`. */
    protected function assignment(
        User $user,
        array $students = ['wfinch' => 'Willa Finch'],
        ?string $brief = self::BRIEF,
        string $role = 'instructor',
    ): Assignment {
        $course = Course::factory()->hasAttached($user, ['role' => $role])->createOne();
        foreach ($students as $handle => $name) {
            Student::factory()->for($course)->createOne(['handle' => $handle, 'name' => $name]);
        }
        $factory = Assignment::factory()->for($course);

        return ($brief === null ? $factory : $factory->withBrief($brief))->createOne();
    }

    /** @param  array<string, string>  $files */
    protected function upload(array $files, string $name = 'wfinch.zip'): UploadedFile
    {
        return new UploadedFile(Samples::zip($files), $name, test: true);
    }

    protected function arrival(Assignment $assignment, string $bytes, string $name = 'wfinch.zip'): Arrival
    {
        return $assignment->arrivals()->create([
            'name' => $name,
            'sha256' => app(BlobStore::class)->put($bytes),
            'state' => 'waiting',
            'arrived_at' => now(),
        ]);
    }

    /** A hand-in that went through the in-tray and its check, for the first student. */
    protected function handIn(Assignment $assignment, ?array $files = null): HandIn
    {
        $files ??= ['index.html' => Samples::page('<img src="none.png"><a herf="a.html">x</a>')];
        $arrival = $this->arrival($assignment, (string) file_get_contents(Samples::zip($files)));
        dispatch_sync(new \App\Intake\UnpackArrival($arrival->id));

        return HandIn::query()->findOrFail($arrival->refresh()->hand_in_id);
    }
}
