<?php

declare(strict_types=1);

use App\Checks\CheckHandIn;
use App\Courses\PrivateLink;
use App\Intake\FetchSite;
use App\Intake\Published\FetchTurn;
use App\Intake\Tries\TrySite;
use App\Mail\OwnPage;
use App\Models\Arrival;
use App\Models\HandIn;
use App\Models\MaterialRole;
use App\Models\SiteTry;
use App\Models\Student;
use App\Models\Upload;
use App\Sites\MaterialStore;
use App\Storage\SharedDisk;
use Illuminate\Support\Facades\Bus;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Mail;
use Illuminate\Support\Facades\Queue;
use InkedMargin\Core\Intake\ArchiveReader;
use InkedMargin\Core\Site\Site;
use InkedMargin\Core\Source\SourceFile;
use InkedMargin\Core\Tests\Samples;

const ASKED = <<<'YAML'
    title: Trial
    marking: {grace: 10}
    requirements:
      - {id: files, title: Both pages, kind: files, names: [index.html, a.html], points: 4}
    YAML;

beforeEach(function () {
    config(['queue.default' => 'sync']);
    $this->user = $this->instructor();
    $this->work = $this->assignment($this->user, ['wfinch' => 'Willa Finch', 'ovoss' => 'Orla Voss'], ASKED);
    $this->work->update(['students_see' => 'all', 'due_at' => now()->addHour()]);
    $this->student = Student::query()->where('handle', 'wfinch')->sole();
    $this->token = fn (?Student $student = null) => basename(PrivateLink::of($student ?? $this->student));
    $this->at = '/api/my/'.($this->token)();
    $this->site = fn (string $body = '<p>x</p>', array $more = []) => (string) file_get_contents(
        Samples::zip(['index.html' => Samples::page($body)] + $more),
    );
    /** Sends a file in parts. */
    $this->send = function (string $bytes, string $name = 'wfinch.zip', ?string $at = null): string {
        $at ??= $this->at;
        $id = $this->postJson(
            "$at/assignments/{$this->work->id}/uploads",
            ['name' => $name, 'bytes' => strlen($bytes)],
        )->assertCreated()->json('id');
        $part = fn (int $offset, string $part) => $this->call(
            'PUT',
            "$at/uploads/$id?offset=$offset",
            content: $part,
        )->assertOk()->json('received');
        $half = intdiv(strlen($bytes), 2);
        expect($part(0, substr($bytes, 0, $half)))->toBe($half);
        // The answer was lost, and the part comes once more.
        expect($part(0, substr($bytes, 0, $half)))->toBe($half)
            ->and($part($half, substr($bytes, $half)))->toBe(strlen($bytes));

        return $id;
    };
    $this->give = fn (string $id, array $with = []) => $this->postJson(
        "$this->at/uploads/$id/hand-in",
        $with + ['packed' => false],
    );
    /** Tries a site, and gives the answer about it. */
    $this->try = function (string $body): array {
        $upload = ($this->send)(($this->site)($body));
        $id = $this->postJson("$this->at/uploads/$upload/try", ['packed' => false])->assertAccepted()->json('id');

        return $this->getJson("$this->at/tries/$id")->assertOk()->json();
    };
    $this->page = fn () => $this->getJson("$this->at/assignments/{$this->work->id}")->assertOk()->json();
});

it('shows the work that is set, and nothing of anybody else', function () {
    $this->handIn($this->work);
    $page = $this->getJson($this->at)->assertOk()->json();
    $other = $this->getJson('/api/my/'.($this->token)(Student::query()->where('handle', 'ovoss')->sole()))->json();

    expect($page['name'])->toBe('Willa Finch')->and($page['work'][0]['attempts'])
        ->toBe(1)->and($other['work'][0]['attempts'])->toBe(0)
        ->and(json_encode($page))->not->toContain('Voss');
    expect(($this->page)())->toMatchArray(['refusal' => null, 'late' => false, 'sees' => 'all', 'hasStarter' => false])
        ->and(($this->page)()['brief'][0]['sentence'])->toContain('index.html')
        ->and(($this->page)()['marking'])->toBe(['Up to 10 minutes after the due time is not late.']);
});

it('is opened by a link that is long, kept as a hash, told again, and revoked', function () {
    $link = PrivateLink::of($this->student);
    expect(strlen(basename($link)))->toBe(43)->and(PrivateLink::of($this->student->refresh()))->toBe($link)
        ->and(implode(
            ' ',
            array_map(strval(...), Student::query()->findOrFail($this->student->id)->getAttributes()),
        ))->not->toContain(basename($link));
    $this->actingAs($this->user)->deleteJson("/api/students/{$this->student->id}/link")->assertNoContent();
    auth()->logout();

    $this->getJson($this->at)->assertNotFound()->assertSee('no page behind this link');
    expect(PrivateLink::of($this->student->refresh()))->not->toBe($link);
});

it('opens nothing of another student or another course, and nothing once the student has left', function () {
    $handIn = $this->handIn($this->work);
    $orla = '/api/my/'.($this->token)(Student::query()->where('handle', 'ovoss')->sole());
    $upload = ($this->send)(($this->site)());
    $foreign = $this->assignment($this->instructor('other@example.org'));

    $this->getJson("$orla/hand-ins/$handIn->id/check")->assertNotFound();
    $this->getJson("$orla/hand-ins/$handIn->id/reply")->assertNotFound();
    $this->postJson("$orla/uploads/$upload/hand-in", ['packed' => false])->assertNotFound();
    $this->postJson("$orla/uploads/$upload/try", ['packed' => false])->assertNotFound();
    $this->call('PUT', "$orla/uploads/$upload?offset=0", content: 'x')->assertNotFound();
    $this->getJson("$this->at/assignments/$foreign->id")->assertNotFound();
    $this->postJson("$this->at/assignments/$foreign->id/uploads", ['name' => 'a.zip', 'bytes' => 5])->assertNotFound();
    $this->getJson('/api/my/'.str_repeat('x', 43))->assertNotFound();
    $this->student->update(['set_aside_at' => now()]);
    $this->getJson($this->at)->assertNotFound();
});

it('tells instructors the links, and sends them to those whose address is known', function () {
    Mail::fake();
    $this->student->update(['email' => 'willa@example.org']);
    $at = "/api/courses/{$this->work->course_id}/student-links";
    $links = $this->actingAs($this->user)->postJson($at)->assertOk()->json();

    expect(array_column($links, 'link', 'handle')['wfinch'])->toBe(PrivateLink::of($this->student->refresh()));
    $this->postJson("$at/letters")->assertOk()->assertExactJson(['sent' => 1, 'without' => ['Orla Voss']]);
    Mail::assertQueued(OwnPage::class, fn (OwnPage $mail) => $mail->hasTo('willa@example.org')
        && str_contains($mail->render(), PrivateLink::of($this->student)) && ! str_contains($mail->render(), 'Orla'));
});

describe('trying', function () {
    it('says what the check would say, any number of times, and keeps nothing', function () {
        foreach ([1, 2] as $time) {
            $try = ($this->try)('<img src="none.png">');
        }

        expect($try['state'])->toBe('finished')
            ->and($try['check']['outcomes'][0])->toMatchArray(['title' => 'Both pages', 'outcome' => 'partly'])
            ->and(array_column($try['check']['findings'], 'file'))->toContain('index.html');
        expect(HandIn::query()->count() + Arrival::query()->count() + Upload::query()->count()
            + DB::table('hand_in_files')->count() + count(SharedDisk::get()->files('tries')))->toBe(0)
            ->and(SiteTry::query()->count())->toBe(1);
    });

    it('shows as much as the assignment allows', function (string $see, bool $findings) {
        $this->work->update(['students_see' => $see]);
        $check = ($this->try)('<img src="none.png">')['check'];

        expect($check['outcomes'])->toHaveCount(1)->and($check['findings'] !== [])->toBe($findings)
            ->and(json_encode($check['outcomes']))->not->toContain('shortfalls');
    })->with(['outcomes' => ['outcomes', false], 'all' => ['all', true]]);

    it('is refused where the assignment shows nothing', function () {
        $this->work->update(['students_see' => 'nothing']);
        $this->postJson("$this->at/uploads/".($this->send)(($this->site)()).'/try', ['packed' => false])
            ->assertUnprocessable()->assertSee('cannot be tried');
    });

    it('says why a file is no site', function () {
        $upload = ($this->send)('PK is all that is there');
        $id = $this->postJson("$this->at/uploads/$upload/try", ['packed' => false])->assertAccepted()->json('id');

        expect($this->getJson("$this->at/tries/$id")->json())->toMatchArray(['state' => 'failed', 'check' => null])
            ->and($this->getJson("$this->at/tries/$id")->json('trouble'))->toContain('not a zip archive');
    });

    it('waits in a queue of its own, one for each student', function () {
        Queue::fake();
        $ids = array_map(fn () => $this->postJson(
            "$this->at/uploads/".($this->send)(($this->site)()).'/try',
            ['packed' => false],
        )->json('id'), [1, 2]);

        Queue::assertPushedOn('tries', TrySite::class);
        $this->getJson("$this->at/tries/{$ids[0]}")->assertNotFound();
        expect($this->getJson("$this->at/tries/{$ids[1]}")->json())->toMatchArray(['state' => 'waiting', 'ahead' => 0])
            ->and(SharedDisk::get()->files('tries'))->toHaveCount(1);
    });

    it('is not begun once its student has gone', function () {
        Queue::fake();
        $upload = ($this->send)(($this->site)());
        $id = $this->postJson("$this->at/uploads/$upload/try", ['packed' => false])->json('id');
        $this->travel(SiteTry::GONE + 1)->seconds();
        (new TrySite($id))->handle(app(MaterialStore::class));

        $this->getJson("$this->at/tries/$id")->assertNotFound();
        expect(SharedDisk::get()->files('tries'))->toBe([]);
    });

    it('leaves no bytes of a student who was deleted', function () {
        Queue::fake();
        $upload = ($this->send)(($this->site)());
        $this->postJson("$this->at/uploads/$upload/try", ['packed' => false])->assertAccepted();
        $this->student->delete();
        [$file] = SharedDisk::get()->files('tries');
        SiteTry::pruneFiles();
        expect(SharedDisk::get()->exists($file))->toBeTrue();
        touch(SharedDisk::get()->path($file), now()->subHours(2)->getTimestamp());
        SiteTry::pruneFiles();

        expect(SharedDisk::get()->files('tries'))->toBe([]);
    });

    it('ends when the student says so', function () {
        Queue::fake();
        $upload = ($this->send)(($this->site)());
        $id = $this->postJson("$this->at/uploads/$upload/try", ['packed' => false])->json('id');
        $this->deleteJson("$this->at/tries/$id")->assertNoContent();
        (new TrySite($id))->handle(app(MaterialStore::class));

        expect(SiteTry::query()->count())->toBe(0);
    });

    it('is nobody else’s', function () {
        Queue::fake();
        $upload = ($this->send)(($this->site)());
        $id = $this->postJson("$this->at/uploads/$upload/try", ['packed' => false])->json('id');
        $orla = '/api/my/'.($this->token)(Student::query()->where('handle', 'ovoss')->sole());
        $this->getJson("$orla/tries/$id")->assertNotFound();
        $this->deleteJson("$orla/tries/$id")->assertNoContent();

        $this->getJson("$this->at/tries/$id")->assertOk();
    });

    it('shows nothing once the time is over', function () {
        $this->work->update(['due_at' => now()->subHour()]);
        $this->postJson(
            "$this->at/uploads/".($this->send)(($this->site)()).'/try',
            ['packed' => false],
        )->assertUnprocessable();
        expect(($this->page)())->toMatchArray(['sees' => 'nothing', 'late' => true, 'refusal' => null]);
    });
});

describe('handing in', function () {
    it('files a zip with its note and address, checks it, and shows it in the in-tray', function () {
        ($this->give)(($this->send)(($this->site)(more: ['a.html' => Samples::page('<p>a</p>')])), [
            'note' => 'Works on my machine.', 'address' => 'https://wfinch.example/site/',
        ])->assertCreated();
        $handIn = HandIn::query()->with('run')->sole();

        expect($handIn->getAttributes())->toMatchArray([
            'covering_note' => 'Works on my machine.', 'address' => 'https://wfinch.example/site/',
            'archive_name' => 'wfinch.zip', 'counts' => true, 'waits' => true, 'late' => false,
        ])->and((float) $handIn->run->awarded)->toBe(4.0)->and(Upload::query()->count())->toBe(0);
        expect(Arrival::query()->sole()->state->value)->toBe('taken');
        expect(($this->page)()['attempts'][0])->toMatchArray(
            ['attempt' => 1, 'checked' => true, 'coveringNote' => 'Works on my machine.', 'mended' => null],
        );
        $this->actingAs($this->user)->getJson("/api/hand-ins/$handIn->id")->assertJson(
            ['coveringNote' => 'Works on my machine.', 'address' => 'https://wfinch.example/site/'],
        );
    });

    it('unpacks one hand-in of a student at a time', function () {
        $lock = Cache::lock("hand-in of {$this->student->id}", 60);
        $lock->get();
        ($this->give)($upload = ($this->send)(($this->site)()))->assertConflict();
        $lock->release();

        ($this->give)($upload)->assertCreated();
    });

    it('puts the checks of one student behind those of others', function () {
        config(['queue.default' => 'database']);
        Bus::fake();
        $give = fn (string $body) => ($this->give)(($this->send)(($this->site)($body)))->assertCreated();
        array_map($give, ['<p>1</p>', '<p>2</p>', '<p>3</p>', '<p>4</p>']);

        expect(Bus::dispatched(CheckHandIn::class)->pluck('queue')->all())->toBe(
            ['default', 'second', 'later', 'later'],
        );
    });

    it('takes few addresses at a time', function () {
        config(['queue.default' => 'database']);
        Bus::fake();
        $give = fn (int $number) => $this->postJson(
            "$this->at/assignments/{$this->work->id}/address",
            ['address' => "https://wfinch.example/$number/"],
        );
        foreach (range(1, FetchTurn::MAX_WAITING) as $number) {
            $give($number)->assertAccepted();
        }

        $give(9)->assertUnprocessable()->assertSee('still fetching');
        expect(Bus::dispatched(FetchSite::class)->pluck('queue')->unique()->all())->toBe(['fetches']);
    });

    it('holds nobody to the name of an archive that the browser made of a folder', function () {
        $brief = "title: T\nrequirements:\n  - {id: n, kind: names, title: Zip, archive: '{student.handle}.zip', points: 1}\n";
        $this->actingAs($this->user)->putJson(
            "/api/assignments/{$this->work->id}/brief",
            ['source' => $brief],
        )->assertOk();
        ($this->give)(($this->send)(($this->site)(), 'my site'), ['packed' => true])->assertCreated();

        expect(HandIn::query()->with('run.outcomes')->sole()->run->outcomes[0]->measured)->toBe(
            'not sent as an archive',
        );
    });

    it('says what was mended, what still stands and what is new', function () {
        ($this->give)(
            ($this->send)(($this->site)('<img src="none.png" alt="A gull"><a herf="a.html">x</a>')),
        )->assertCreated();
        ($this->give)(
            ($this->send)(($this->site)('<img src="none.png" alt="A gull"><center>New</center>')),
        )->assertCreated();
        [$second, $first] = ($this->page)()['attempts'];

        expect($first)->toMatchArray(['attempt' => 1, 'counts' => false, 'mended' => null])
            ->and($second['attempt'])->toBe(2)->and($second['counts'])->toBeTrue()
            ->and($second['mended'])->toBeGreaterThan(0)->and($second['still'])->toBeGreaterThan(0)->and($second['new'])->toBeGreaterThan(0);
        $this->getJson(
            "$this->at/hand-ins/{$second['id']}/check",
        )->assertOk()->assertJsonPath('outcomes.0.outcome', 'partly');
    });

    it('shows the reply when it is released, word for word', function () {
        $id = ($this->give)(($this->send)(($this->site)()))->json('id');
        $this->getJson("$this->at/hand-ins/$id/reply")->assertNotFound();
        $this->actingAs($this->user)->postJson(
            "/api/hand-ins/$id/notes",
            ['body' => 'Well begun.', 'kind' => 'merit'],
        )->assertCreated();
        $this->postJson("/api/hand-ins/$id/replies")->assertOk();
        auth()->logout();

        $this->getJson("$this->at/hand-ins/$id/reply")->assertOk()->assertSee('Well begun.');
        expect(($this->page)()['attempts'][0]['replied'])->toBeTrue();
    });

    it('refuses what is no site, and keeps nothing of it', function (string $bytes, string $name, string $why) {
        ($this->give)(($this->send)($bytes, $name))->assertUnprocessable()
            ->assertSee($why)->assertSee('Nothing was handed in');
        expect(HandIn::query()->count())->toBe(0)->and(DB::table('blobs')->count())->toBe(0);
    })->with([
        'no zip' => ['Not a zip at all', 'site.zip', 'is not a zip archive'],
        'an archive that climbs out' => [
            fn () => (string) file_get_contents(Samples::zip(['../x.html' => 'x'])),
            'a.zip',
            'climbs out',
        ],
    ]);

    it('refuses words that cannot be kept, and files nothing', function (array $with, string $why) {
        ($this->give)(($this->send)(($this->site)()), $with)->assertUnprocessable()->assertSee($why);
        expect(HandIn::query()->count())->toBe(0);
    })->with([
        'no address' => [['address' => 'my site'], 'Type the whole address'],
        'a long note' => [fn () => ['note' => str_repeat('x', 2001)], '2,000 characters'],
    ]);

    it('refuses a file that is not whole, empty or too large', function () {
        $begin = fn (int $bytes) => $this->postJson(
            "$this->at/assignments/{$this->work->id}/uploads",
            ['name' => 'a.zip', 'bytes' => $bytes],
        );
        $begin(0)->assertUnprocessable()->assertSee('is empty');
        $begin(2_000_000_000)->assertUnprocessable()->assertSee('larger than');
        $id = $begin(100)->json('id');
        $this->call('PUT', "$this->at/uploads/$id?offset=0", content: str_repeat('x', 101))->assertStatus(422);
        $this->call('PUT', "$this->at/uploads/$id?offset=0", content: str_repeat('x', 50))->assertOk();
        ($this->give)($id)->assertStatus(422)->assertSee('Send the rest');
    });

    it('adds nothing for the same file again', function () {
        $bytes = ($this->site)();
        ($this->give)(($this->send)($bytes))->assertCreated();
        ($this->give)(($this->send)($bytes))->assertUnprocessable()->assertSee('the same file as your attempt 1');
        expect(HandIn::query()->count())->toBe(1);
    });

    it('ends after as many attempts as are allowed, in however many tabs', function () {
        $this->work->update(['most_attempts' => 1]);
        [$one, $other] = [($this->send)(($this->site)('<p>1</p>')), ($this->send)(($this->site)('<p>2</p>'))];
        ($this->give)($one)->assertCreated();
        ($this->give)($other)->assertUnprocessable()->assertSee('once is all there is');
        expect(($this->page)()['refusal'])->toContain('once is all')->and(HandIn::query()->count())->toBe(1);
    });

    it('counts what began in time as in time, and knows the grace', function () {
        $this->travelTo($this->work->due_at->copy()->subMinutes(5));
        $begun = ($this->send)(($this->site)('<p>1</p>'));
        $this->travelTo($this->work->due_at->copy()->addMinutes(9));
        $grace = ($this->send)(($this->site)('<p>2</p>'));
        $this->travelTo($this->work->due_at->copy()->addMinutes(12));
        ($this->give)($begun)->assertCreated();
        ($this->give)($grace)->assertCreated();
        ($this->give)(($this->send)(($this->site)('<p>3</p>')))->assertCreated();

        expect(HandIn::query()->orderBy('attempt')->get()->map(fn (HandIn $one) => [$one->late, $one->counts])->all())
            ->toBe([[false, false], [false, true], [true, false]]);
    });

    it('takes nothing late where the assignment says so, and nothing once it is closed', function () {
        $this->work->update(['takes_late' => false]);
        $this->travelTo($this->work->due_at->copy()->addMinutes(11));
        ($this->give)(($this->send)(($this->site)()))->assertUnprocessable()->assertSee('late hand-ins are not accepted');
        $this->work->update(['closed_at' => now(), 'takes_late' => true]);
        ($this->give)(($this->send)(($this->site)()))->assertUnprocessable()->assertSee('is closed');
    });
});

it('counts another attempt when the due time moves or the instructor chooses', function () {
    $ids = [];
    foreach (['<p>1</p>', '<p>2</p>'] as $at => $body) {
        $this->travelTo($this->work->due_at->copy()->addMinutes($at === 0 ? -5 : 30));
        $ids[] = ($this->give)(($this->send)(($this->site)($body)))->json('id');
    }
    $counts = fn () => HandIn::query()->where('counts', true)->sole()->id;
    expect($counts())->toBe($ids[0]);

    $this->actingAs($this->user);
    $this->putJson("/api/hand-ins/$ids[1]/chosen")->assertNoContent();
    expect($counts())->toBe($ids[1]);
    $this->deleteJson("/api/hand-ins/$ids[1]/chosen")->assertNoContent();
    expect($counts())->toBe($ids[0]);
    $this->putJson(
        "/api/assignments/{$this->work->id}",
        ['title' => 'T', 'summary' => '', 'due' => '2099-01-01T00:00'],
    )->assertNoContent();
    expect($counts())->toBe($ids[1])->and(HandIn::query()->where('waits', true)->sole()->id)->toBe($ids[1])
        ->and(HandIn::query()->where('late', true)->exists())->toBeFalse();
});

it('gives the starter files as a zip in a folder of their own', function () {
    app(MaterialStore::class)->put(
        $this->work,
        MaterialRole::Starter,
        new Site('s', [new SourceFile('index.html', 'x'), new SourceFile('a/b.css', 'y')]),
    );
    $zip = $this->get("$this->at/assignments/{$this->work->id}/starter.zip")->assertOk()->getContent();
    file_put_contents($path = tempnam(sys_get_temp_dir(), 'zip'), $zip);

    expect((new ArchiveReader)->read($path, 'starter.zip')->paths())
        ->toBe(['a/b.css', 'index.html'])->and(($this->page)()['hasStarter'])->toBeTrue();
});

it('says so when the disk takes no part, and keeps nothing half', function () {
    $folder = dirname(Upload::path('x'));
    Illuminate\Support\Facades\File::deleteDirectory($folder);
    file_put_contents($folder, 'a file stands in the way');
    $id = $this->postJson(
        "$this->at/assignments/{$this->work->id}/uploads",
        ['name' => 'a.zip', 'bytes' => 10],
    )->json('id');
    $answer = $this->call('PUT', "$this->at/uploads/$id?offset=0", content: '0123456789');
    unlink($folder);

    $answer->assertStatus(507)->assertSee('its disk may be full');
    expect(Upload::query()->sole()->received)->toBe(0);
    $this->call(
        'PUT',
        "$this->at/uploads/$id?offset=0",
        content: '0123456789',
    )->assertOk()->assertJson(['received' => 10]);
});

it('keeps no more than a few files of a student on their way', function () {
    $ids = array_map(fn () => ($this->send)(($this->site)()), range(1, 6));

    expect(Upload::query()->count())->toBe(2)->and(is_file(Upload::path($ids[0])))
        ->toBeFalse()->and(is_file(Upload::path($ids[5])))->toBeTrue();
});

it('forgets what never arrived whole, with its bytes', function () {
    $id = ($this->send)(($this->site)());
    expect(is_file(Upload::path($id)))->toBeTrue();
    $this->travel(25)->hours();
    $this->artisan('model:prune', ['--model' => [Upload::class]])->assertSuccessful();

    expect(is_file(Upload::path($id)))->toBeFalse()->and(Upload::query()->count())->toBe(0);
});

it('has one link for the course that asks for a handle, once an instructor turns it on', function () {
    $this->actingAs($this->user);
    $at = "/api/courses/{$this->work->course_id}/link";
    $this->getJson($at)->assertOk()->assertExactJson(['link' => null, 'word' => null]);
    $token = basename($this->putJson($at)->assertOk()->json('link'));
    expect($this->getJson($at)->json('link'))->toEndWith($token)
        ->and(json_encode(DB::table('courses')->get()))->not->toContain($token);
    auth()->logout();

    $this->getJson("/api/join/$token")->assertOk()->assertJson(['course' => $this->work->course->title]);
    $this->postJson("/api/join/$token", ['handle' => ' WFinch '])->assertOk()->assertJson(
        ['link' => PrivateLink::of($this->student->refresh())],
    );
    $this->postJson(
        "/api/join/$token",
        ['handle' => 'nobody'],
    )->assertUnprocessable()->assertSee('Nobody in this course');
    $this->postJson("/api/join/$token", ['handle' => ''])->assertUnprocessable();
    $this->student->update(['set_aside_at' => now()]);
    $this->postJson("/api/join/$token", ['handle' => 'wfinch'])->assertUnprocessable();
    $this->actingAs($this->user)->deleteJson($at)->assertNoContent();
    $this->getJson("/api/join/$token")->assertNotFound()->assertSee('no course behind this link');
});

it('asks for the word of the course, where it has one', function () {
    $at = "/api/courses/{$this->work->course_id}/link";
    $this->actingAs($this->user)->putJson($at, ['word' => 'abc'])->assertUnprocessable();
    $token = basename($this->putJson($at, ['word' => 'Lantern'])->assertOk()->json('link'));
    $this->getJson($at)->assertJson(['word' => 'Lantern']);
    auth()->logout();
    $join = fn (array $with) => $this->postJson("/api/join/$token", ['handle' => 'wfinch'] + $with);

    $this->getJson("/api/join/$token")->assertJson(['asksForWord' => true]);
    $join([])->assertUnprocessable()->assertSee('do not belong together');
    $join(['word' => 'lanterns'])->assertUnprocessable();
    $join(['word' => ' lantern '])->assertOk();
});
