<?php

declare(strict_types=1);

use App\Courses\PrivateLink;
use App\Intake\UnpackArrival;
use App\Models\Arrival;
use App\Models\ArrivalState;
use App\Models\HandIn;
use App\Sites\Space;
use App\Storage\BlobStore;
use Illuminate\Support\Facades\Cache;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Tests\Samples;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user);
    $this->zip = fn (string $body = 'x', int $more = 0) => (string) file_get_contents(Samples::zip([
        'index.html' => Samples::page($body), 'noise.bin' => random_bytes(max(1, $more)),
    ]));
    $this->drop = function (string $zip): Arrival {
        $arrival = $this->arrival($this->work, $zip, 'wfinch.zip');
        dispatch_sync(new UnpackArrival($arrival->id));

        return $arrival->refresh();
    };
});

it('refuses what is more than one student may have for an assignment, and says by how much', function () {
    config(['margin.megabytes.student' => 2]);
    expect(($this->drop)(($this->zip)(more: 1_500_000))->state)->toBe(ArrivalState::Taken);
    $second = ($this->drop)(($this->zip)(more: 1_200_000));

    expect($second->state)->toBe(ArrivalState::Refused)
        ->and($second->reason)->toContain('has 1.2 MB unpacked, and 1.5 MB are kept of earlier attempts. 2 MB is the most')
        ->and(HandIn::query()->count())->toBe(1);
});

it('takes the same again whatever the quota says', function () {
    $zip = ($this->zip)(more: 900_000);
    ($this->drop)($zip);
    config(['margin.megabytes.student' => 1]);

    expect(($this->drop)($zip)->state)->toBe(ArrivalState::Repeated);
});

it('counts each file of a course once', function () {
    $same = random_bytes(300_000);
    foreach (['a', 'b'] as $body) {
        ($this->drop)((string) file_get_contents(Samples::zip([
            'index.html' => Samples::page($body), 'noise.bin' => $same,
        ])));
    }

    Cache::flush();
    // Two archives, and the file in both of them once.
    expect(Space::ofCourse($this->work->course_id)->used)->toBeBetween(900_000, 930_000);
});

it('takes no more once a course or the installation is full', function (string $quota, string $words) {
    app(BlobStore::class)->put(str_repeat('x', 10));
    config(["margin.megabytes.$quota" => 0]);
    $begin = $this->postJson("/api/assignments/{$this->work->id}/uploads", ['name' => 'a.zip', 'bytes' => 5]);

    $begin->assertUnprocessable()->assertSee("The storage of $words is full");
})->with([['course', 'this course'], ['installation', 'this installation']]);

it('counts what an instructor gives an assignment too', function () {
    config(['margin.megabytes.course' => 1]);
    $file = $this->upload(['index.html' => Samples::page('x'), 'noise.bin' => random_bytes(1_100_000)], 'starter.zip');
    $this->post("/api/assignments/{$this->work->id}/materials/starter", ['files' => [$file]], ['Accept' => 'application/json'])
        ->assertUnprocessable()->assertSee('The storage of this course is full');
});

it('tells a student that nothing was sent', function () {
    config(['margin.megabytes.course' => 0]);
    $at = '/api/my/'.basename(PrivateLink::of($this->work->course->students()->firstOrFail()));
    $this->postJson("$at/assignments/{$this->work->id}/uploads", ['name' => 'a.zip', 'bytes' => 5])
        ->assertUnprocessable()->assertSee('Nothing was sent.');
});

it('shows instructors what is stored, and what may be', function () {
    ($this->drop)(($this->zip)());
    $space = $this->getJson("/api/courses/{$this->work->course_id}/space")->assertOk()->json();

    expect($space)->toMatchArray([
        'courseQuota' => 20_000_000_000, 'installationQuota' => 100_000_000_000, 'studentQuota' => 500_000_000,
    ])->and($space['course'])->toBeGreaterThan(100)->and($space['installation'])->toBeGreaterThanOrEqual($space['course']);
});

it('refuses archives in an archive that come to far more than it', function () {
    $bomb = (string) file_get_contents(Samples::zip(['index.html' => Samples::page('x'), 'a.txt' => str_repeat('a', 990_000)]));
    $class = Samples::zip(array_combine(
        array_map(fn (int $number) => "s$number.zip", range(1, 20)),
        array_fill(0, 20, $bomb),
    ));
    $arrival = $this->arrival($this->work, (string) file_get_contents($class), 'class.zip');
    dispatch_sync(new UnpackArrival($arrival->id));

    expect($arrival->refresh()->reason)->toContain('200 times is the most')->and(Arrival::query()->count())->toBe(1);
});

it('admits a file only where it fits', function () {
    config(['margin.megabytes.installation' => 1]);
    Space::admitToInstallation(900_000);

    expect(fn () => Space::admitToInstallation(1_100_000))->toThrow(Refusal::class, 'and this has 1.1 MB');
});
