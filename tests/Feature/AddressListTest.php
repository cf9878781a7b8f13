<?php

declare(strict_types=1);

use App\Intake\FetchSite;
use App\Models\Arrival;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Str;

beforeEach(function () {
    Queue::fake();
    $this->actingAs($user = $this->instructor());
    $this->work = $this->assignment(
        $user,
        ['wfinch' => 'Willa Finch', 'ovoss' => 'Orla Voss', 'zmueller' => 'Zoë Müller'],
    );
    $this->paste = fn (string $text) => $this->postJson(
        "/api/assignments/{$this->work->id}/addresses",
        ['text' => $text, 'drop' => $this->drop = (string) Str::uuid7()],
    );
});

it('takes the addresses of a class, however they are written', function (string $line, string $handle, string $address) {
    ($this->paste)("\n$line\n")->assertStatus(202)->assertJson(['taken' => 1]);
    $arrival = Arrival::query()->with('student')->sole();

    expect([$arrival->student->handle, $arrival->address, $arrival->state->value])->toBe(
        [$handle, $address, 'waiting'],
    );
    expect($arrival->drop_id)->toBe($this->drop);
    Queue::assertPushed(FetchSite::class, fn (FetchSite $job) => $job->arrivalId === $arrival->id);
})->with([
    'a handle before it' => ['wfinch https://w.school.example/almanac/', 'wfinch', 'https://w.school.example/almanac/'],
    'a name after it' => ['http://w.school.example/a,  Finch, Willa', 'wfinch', 'http://w.school.example/a'],
    'columns of a sheet' => ["Orla Voss\thttps://o.school.example/", 'ovoss', 'https://o.school.example/'],
    'a colon' => ['Zoë Müller: https://z.school.example/~zoë/', 'zmueller', 'https://z.school.example/~zoë/'],
]);

it('says line by line what is wrong, and takes nothing', function () {
    ($this->paste)(implode("\n", [
        'wfinch https://w.school.example/', 'Orla Voss', 'nobody https://n.school.example/',
        'https://x.school.example/',
        'ovoss file:///C:/site/index.html', 'Willa Finch https://twice.school.example/', 'zmueller www.school.example',
    ]))->assertStatus(422)->assertJsonValidationErrors(['text' => implode("\n", [
        'Line 2: there is no address. One begins with `https://` or `http://`.',
        'Line 3: “nobody” is not one student of the roster.',
        'Line 4: the name or handle of a student is missing.',
        'Line 5: `file:///C:/site/index.html` is on a computer that others cannot reach, such as your own.'
            .' Publish the site, and hand in its address there.',
        'Line 6: Willa Finch has an address already.',
        'Line 7: `www.school.example` is not an address. One looks like `https://example.org/my-site/`.',
        'Nothing was taken.',
    ])]);

    expect(Arrival::query()->count())->toBe(0);
    Queue::assertNothingPushed();
});

it('takes the addresses of a drop back', function () {
    ($this->paste)('wfinch https://w.school.example/')->assertStatus(202);
    $this->deleteJson("/api/assignments/{$this->work->id}/drops/$this->drop")->assertOk()->assertJson(['gone' => 1]);

    expect(Arrival::query()->count())->toBe(0);
});
