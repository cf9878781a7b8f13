<?php

declare(strict_types=1);

use App\Models\Arrival;
use App\Models\Remark;
use App\Storage\BlobStore;
use App\Storage\StoreFailure;
use Illuminate\Filesystem\FilesystemAdapter;
use Illuminate\Http\Request;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\Route;
use Illuminate\Support\Facades\Storage;
use InkedMargin\Core\Tests\Samples;
use League\Flysystem\Config;
use League\Flysystem\Filesystem;
use League\Flysystem\Local\LocalFilesystemAdapter;
use League\Flysystem\UnableToWriteFile;

/** Puts a disk under the store that takes so many bytes of a file, and then is full. */
function fillDisk(int $room, bool $says): void
{
    $adapter = new class(Storage::disk('local')->path(''), $room, $says) extends LocalFilesystemAdapter
    {
        public function __construct(string $root, private int $room, private bool $says)
        {
            parent::__construct($root);
        }

        public function write(string $path, string $contents, Config $config): void
        {
            parent::write($path, substr($contents, 0, $this->room), $config);
            if ($this->says && strlen($contents) > $this->room) {
                throw UnableToWriteFile::atLocation($path, 'No space left on device');
            }
        }

        public function writeStream(string $path, $contents, Config $config): void
        {
            $this->write($path, (string) stream_get_contents($contents), $config);
        }
    };
    Storage::set('local', new FilesystemAdapter(new Filesystem($adapter), $adapter, ['throw' => true]));
}

it('keeps a file whole or not at all when the disk is full', function (bool $says) {
    fillDisk(10, $says);

    expect(fn () => app(BlobStore::class)->put(str_repeat('x', 50)))->toThrow(StoreFailure::class, 'disk may be full')
        ->and(Storage::disk('local')->allFiles())->toBe([])
        ->and(Illuminate\Support\Facades\DB::table('blobs')->count())->toBe(0);
})->with(['a disk that says so' => [true], 'a disk that says nothing' => [false]]);

it('mends a file that was torn off by the next one that is the same', function () {
    $store = app(BlobStore::class);
    $sha256 = $store->put('Ebb at noon');
    $path = Storage::disk('local')->allFiles()[0];
    Storage::disk('local')->put($path, 'Ebb');

    expect(fn () => $store->get($sha256))->toThrow(StoreFailure::class, 'is damaged');
    $store->put('Ebb at noon');
    expect($store->get($sha256))->toBe('Ebb at noon');
});

it('keeps an archive of any size in little memory, and gives it back the same', function () {
    $path = (string) tempnam(sys_get_temp_dir(), 'large');
    $file = fopen($path, 'wb');
    foreach (range(1, 48) as $_) {
        fwrite($file, random_bytes(1 << 20));
    }
    fclose($file);
    $store = app(BlobStore::class);
    memory_reset_peak_usage();
    $before = memory_get_peak_usage();

    $sha256 = $store->putFile($path);
    $same = $store->withFile($sha256, fn (string $kept) => hash_file('sha256', $kept) === hash_file('sha256', $path));

    expect($same)->toBeTrue()->and(memory_get_peak_usage() - $before)->toBeLessThan(8 << 20)
        ->and(fn () => $store->withFile(str_repeat('0', 64), strlen(...)))->toThrow(StoreFailure::class, 'is damaged')
        ->and(fn () => $store->putFile('/none'))->toThrow(StoreFailure::class, 'could not read');
    unlink($path);
});

it('says how many files of a drop it took when the disk was full in the middle', function () {
    $assignment = $this->assignment($user = $this->instructor());
    $small = UploadedFile::fake()->createWithContent('a.zip', 'small');
    $large = UploadedFile::fake()->createWithContent('b.zip', str_repeat('x', 5000));
    fillDisk(100, true);

    $this->actingAs($user)->post(
        "/api/assignments/$assignment->id/arrivals",
        ['files' => [$small, $large]],
        ['Accept' => 'application/json'],
    )
        ->assertStatus(507)->assertSee('1 of 2 were taken');
    expect(Arrival::query()->pluck('name')->all())->toBe(['a.zip']);
});

it('counts what it took, and keeps a name of any length', function () {
    $assignment = $this->assignment($user = $this->instructor());
    $long = $this->upload(['index.html' => Samples::page()], str_repeat('ä', 400).'.zip');

    $this->actingAs($user)->post(
        "/api/assignments/$assignment->id/arrivals",
        ['files' => [$this->upload(['index.html' => 'x']), $long]],
    )
        ->assertStatus(202)->assertJson(['taken' => 2]);
    expect(Arrival::query()->pluck('name')->filter(fn (string $name) => str_ends_with($name, 'ä.zip')))->toHaveCount(1);
});

it('takes files whose names are numbers', function () {
    $handIn = $this->handIn(
        $this->assignment($this->instructor()),
        ['index.html' => Samples::page(), '0' => 'x', '123' => 'y'],
    );

    expect($handIn->files->pluck('path')->all())->toBe(['0', '123', 'index.html'])
        ->and($handIn->run->state)->toBe(App\Models\RunState::Finished);
});

it('shows the home page of a folder, at the address of the folder', function (
    string $path,
    int $status,
    string $shown,
) {
    $files = ['index.html' => Samples::page('<p>Home</p>'), 'pages/index.html' => Samples::page('<p>Inside</p>')];
    $handIn = $this->handIn($this->assignment($user = $this->instructor()), $files);
    $url = $this->actingAs($user)->getJson("/api/hand-ins/$handIn->id/seen")->json('url');

    // The test client takes the slash off.
    $response = app(Illuminate\Contracts\Http\Kernel::class)->handle(Request::create(rtrim($url, '/').$path));

    expect($response->getStatusCode())->toBe($status)->and(
        $response->getContent().$response->headers->get('Location'),
    )->toContain($shown);
})->with([
    'the root' => ['/', 200, 'Home'],
    'a folder' => ['/pages/', 200, 'Inside'],
    'a folder without its slash' => ['/pages', 302, '/pages/'],
    'a folder that is not there' => ['/none/', 404, 'There is no such file'],
]);

it('shows a page in the encoding that it is in', function (string $bytes) {
    $handIn = $this->handIn($this->assignment($user = $this->instructor()), ['index.html' => $bytes]);
    $url = $this->actingAs($user)->getJson("/api/hand-ins/$handIn->id/seen")->json('url');

    $response = $this->get("{$url}index.html")->assertOk()->assertSee('Große Flut', false);
    expect($response->headers->get('Content-Type'))->toBe('text/html; charset=utf-8')
        ->and($response->headers->get('Content-Security-Policy'))->toContain("default-src 'none'");
})->with([
    'UTF-8' => ['<meta charset="utf-8"><p>Große Flut'],
    'ISO-8859-1' => ["<meta charset=\"iso-8859-1\"><p>Gro\xdfe Flut"],
    'UTF-16' => [chr(0xFF).chr(0xFE).mb_convert_encoding('<p>Große Flut', 'UTF-16LE', 'UTF-8')],
]);

it('lets the browser keep pictures and sheets, whose bytes never change, and no page', function () {
    $files = ['index.html' => Samples::page(), 'a.css' => 'p { margin: 0 }'];
    $handIn = $this->handIn($this->assignment($user = $this->instructor()), $files);
    $url = $this->actingAs($user)->getJson("/api/hand-ins/$handIn->id/seen")->json('url');

    $sheet = $this->get("{$url}a.css")->assertOk();
    expect($sheet->headers->get('ETag'))->toBe('"'.hash('sha256', 'p { margin: 0 }').'"')
        ->and($sheet->headers->get('Cache-Control'))->toContain('immutable')->toContain('private')
        ->and($this->get("{$url}index.html")->headers->get('Cache-Control'))->toContain('no-store');
});

it('shows a student’s page on the desk, and not in a tab of its own', function () {
    $handIn = $this->handIn($this->assignment($user = $this->instructor()));
    $url = $this->actingAs($user)->getJson("/api/hand-ins/$handIn->id/seen")->json('url');

    $this->get("{$url}index.html", ['Sec-Fetch-Dest' => 'document'])->assertForbidden()->assertDontSee('herf');
    $this->get("{$url}index.html", ['Sec-Fetch-Dest' => 'iframe'])->assertOk();
});

it('refuses NUL and what is no text before anything is read or kept', function (array $sent) {
    $handIn = $this->handIn($this->assignment($user = $this->instructor()));

    $this->actingAs($user)->post("/api/hand-ins/$handIn->id/notes", $sent, ['Accept' => 'application/json'])
        ->assertUnprocessable()->assertSee('no text can have');
    expect(Remark::query()->count())->toBe(0);
})->with([
    'in a note' => [['body' => "Mind\0this", 'kind' => 'note']],
    'in a place' => [['body' => 'x', 'kind' => 'note', 'file' => "a\0"]],
    'bytes that are no UTF-8' => [['body' => "caf\xe9", 'kind' => 'note']],
    'in the name of a field' => [["bo\0dy" => 'x', 'kind' => 'note']],
]);

it('lets nobody in under an address with NUL in it', function () {
    $this->instructor();

    $this->postJson(
        '/api/log-in',
        ['email' => "teacher@example.org\0x", 'password' => 'right-password'],
    )->assertUnprocessable();
    $this->assertGuest();
});

it('answers no request with an error of its own, whatever the types of what is sent', function () {
    $handIn = $this->handIn($this->assignment($user = $this->instructor()));
    $note = $handIn->remarks()->create(['user_id' => $user->id, 'body' => 'A note', 'kind' => 'note']);
    $places = [
        'course' => $handIn->assignment->course_id, 'assignment' => $handIn->assignment_id, 'handIn' => $handIn->id,
        'note' => $note->id, 'fingerprint' => $handIn->run->findings[0]->fingerprint, 'requirement' => 'files',
        'arrival' => Arrival::query()->value('id'), 'path' => 'index.html',
    ];
    $fields = [
        'source', 'state', 'reason', 'body', 'merit', 'file', 'line', 'version', 'points', 'student', 'files', 'email',
        'password', 'scripts', 'around', 'page',
    ];
    $wrong = [
        null,
        '',
        [],
        ['a'],
        ['a' => ['b']],
        1e300,
        -1,
        PHP_INT_MAX,
        true,
        'x',
        str_repeat('y', 3000),
        '01890000-0000-7000-8000-000000000000',
    ];
    $failed = [];
    foreach (Route::getRoutes() as $route) {
        if (! str_starts_with($route->uri(), 'api/')) {
            continue;
        }
        $here = preg_replace_callback('/\{(\w+)\??\}/', fn (array $name) => $places[$name[1]] ?? 'x', $route->uri());
        $elsewhere = preg_replace('/\{\w+\??\}/', 'no-such-thing', $route->uri());
        foreach ($route->methods() as $method) {
            foreach ($wrong as $value) {
                foreach ([$here, $elsewhere] as $address) {
                    $this->actingAs($user);
                    $response = $this->json($method, "/$address", array_fill_keys($fields, $value));
                    if ($response->baseResponse->getStatusCode() >= 500) {
                        $failed["$method $address"][] = get_debug_type($value).' '.substr(
                            (string) $response->exception?->getMessage(),
                            0,
                            120,
                        );
                    }
                }
            }
        }
    }

    expect($failed)->toBe([]);
});
