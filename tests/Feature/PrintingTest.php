<?php

declare(strict_types=1);

use App\Printing\PrintedPage;
use App\Printing\PrintPage;
use Illuminate\Support\Facades\Process;
use Illuminate\Support\Facades\Queue;
use Illuminate\Support\Facades\Storage;

beforeEach(function () {
    $this->actingAs($user = $this->instructor());
    $this->handIn = $this->handIn($this->assignment($user));
    $this->at = "/api/hand-ins/{$this->handIn->id}";
});

it('prints a reply that holds every note, quoted line and point', function () {
    // pdftotext (poppler-utils, from Debian) reads it back.
    $notes = [
        'Dear Willa, this is a start.',
        'Mind the gap between the quay and the ferry.',
        'Lovely herons — “très bien”.',
        'Why is this here?',
        'Keep going.',
    ];
    foreach (['opening', 'note', 'merit', 'question', 'closing'] as $at => $kind) {
        $place = in_array($kind, ['opening', 'closing'], true) ? [] : ['file' => 'index.html', 'line' => 8];
        $this->postJson("$this->at/notes", ['kind' => $kind, 'body' => $notes[$at]] + $place)->assertCreated();
    }
    foreach ($this->handIn->run->findings as $finding) {
        $this->putJson("$this->at/verdicts/$finding->fingerprint", ['state' => 'inked'])->assertNoContent();
    }
    $pdf = (string) $this->get("$this->at/reply.pdf")->assertOk()
        ->assertHeader('Content-Type', 'application/pdf')->getContent();
    $text = preg_replace('/\s+/u', ' ', Process::input($pdf)->run(['pdftotext', '-', '-'])->throw()->output());
    foreach ([...$notes, 'Willa Finch', '<img src="none.png">', 'Points', 'Well done'] as $words) {
        expect($text)->toContain($words);
    }
    foreach ($this->handIn->run->findings as $finding) {
        expect($text)->toContain(preg_replace('/\s+/u', ' ', str_replace('`', '', $finding->message)));
    }
});

it('leaves printing to the queue, asks for it once, and says how far it is', function () {
    Queue::fake();
    $this->get("$this->at/reply.pdf")->assertStatus(202)->assertHeader('Retry-After', '1')
        ->assertJson(['message' => 'It is being printed.']);
    $this->get("$this->at/reply.pdf")->assertStatus(202);
    Queue::assertPushed(PrintPage::class, 1);
});

it('says so where nothing can print, and the rest works', function () {
    config(['margin.chromium' => 'no-such-program']);
    $this->get("$this->at/reply.pdf")->assertStatus(503)->assertJsonFragment(
        ['message' => 'There is no Chromium on the server, which makes PDF files. You can print it from here.'],
    );
    $this->get("$this->at/reply.html")->assertOk();
});

it('says that a page could not be printed, and tries again later', function () {
    config(['margin.chromium' => 'false']);
    $this->withoutExceptionHandling();
    expect(fn () => $this->get("$this->at/reply.pdf"))->toThrow(Exception::class);
    $this->get("$this->at/reply.pdf")->assertStatus(503)->assertJsonFragment(
        ['message' => 'It could not be printed. Try again in half a minute, or print it from here.'],
    );
    $this->travel(31)->seconds();
    config(['margin.chromium' => 'chromium']);
    $this->get("$this->at/reply.pdf")->assertOk();
});

it('forgets by night what was printed long ago', function () {
    $this->get("$this->at/reply.pdf")->assertOk();
    $disk = Storage::disk('local');
    expect($disk->files('printed'))->toHaveCount(2);
    $this->travel(25)->hours();
    PrintedPage::prune();
    expect($disk->files('printed'))->toBe([]);
    $this->get("$this->at/reply.pdf")->assertOk();
});
