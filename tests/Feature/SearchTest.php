<?php

declare(strict_types=1);

use App\Models\StockRemark;
use App\Search\Words;
use Illuminate\Support\Facades\DB;

beforeEach(function () {
    $this->actingAs($this->user = $this->instructor());
    $this->work = $this->assignment($this->user, ['wfinch' => 'Willa Finch', 'ovoss' => 'Orla Voß']);
    $this->work->update(['title' => 'Island almanac', 'summary' => 'Six pages about Marrow Sound']);
    $this->handIn = $this->handIn($this->work);
    $this->find = fn (string $words) => array_map(
        fn (array $hit) => [$hit['kind'], $hit['title']],
        $this->getJson('/api/search?'.http_build_query(['q' => $words]))->assertOk()->json(),
    );
});

it('finds everything by the beginnings of its words', function (string $words, array $expected) {
    $this->postJson(
        "/api/hand-ins/{$this->handIn->id}/notes",
        ['body' => 'The herons are **lovely** drawings', 'kind' => 'merit', 'file' => 'index.html', 'line' => 3],
    );
    StockRemark::query()->create(['course_id' => $this->work->course_id, 'body' => 'Close your lists, please']);
    StockRemark::query()->create(['user_id' => $this->user->id, 'body' => 'Tables are for tabular things']);
    expect(($this->find)($words))->toBe($expected);
})->with([
    'a student' => ['fin', [['student', 'Willa Finch'], ['hand-in', 'Willa Finch, Island almanac']]],
    'a handle' => ['OVOSS', [['student', 'Orla Voß']]],
    'an assignment, by its summary' => ['marrow', [['assignment', 'Island almanac']]],
    'a hand-in, by student and work' => ['alma willa', [['hand-in', 'Willa Finch, Island almanac']]],
    'a note, by another form of a word' => ['drawing heron', [['note', 'The herons are **lovely** drawings']]],
    'a stock remark' => ['closing list', [['stock-remark', 'Close your lists, please']]],
    'one’s own' => ['tabular', [['stock-remark', 'Tables are for tabular things']]],
    'a rule' => ['missing-alt', [['rule', 'Missing alt text']]],
    'nothing' => ['qqq', []],
    'no words' => ['  !? ', []],
    'what a query would break of' => ["') | (:* & '", []],
]);

it('finds nothing of a course that is not one’s own, and is for nobody who has not logged in', function () {
    $this->actingAs($this->instructor('other@example.org'));
    expect(($this->find)('willa'))->toBe([]);
    $this->app['auth']->forgetGuards();
    $this->getJson('/api/search?q=willa')->assertUnauthorized();
});

it('leads to the place of a note', function () {
    $this->postJson(
        "/api/hand-ins/{$this->handIn->id}/notes",
        ['body' => 'Herons', 'kind' => 'note', 'file' => 'index.html', 'line' => 3],
    );
    expect($this->getJson('/api/search?q=heron')->json('0'))->toMatchArray([
        'detail' => 'Willa Finch, Island almanac, index.html',
        'to' => "/hand-ins/{$this->handIn->id}?leaf=index.html&view=source&line=3",
    ]);
});

it('searches by indexes', function (string $table, string $text) {
    DB::statement(
        "insert into remarks (id, hand_in_id, user_id, kind, body) select gen_random_uuid(), ?, ?, 'note', 'note '||n from generate_series(1, 2000) n",
        [$this->handIn->id, $this->user->id],
    );
    DB::statement('analyze remarks');
    // Tables are small here: PostgreSQL would rather read them whole.
    DB::statement('set local enable_seqscan = off');
    DB::statement('set local enable_indexscan = off');
    $plan = implode(
        "\n",
        array_column(
            DB::select("explain select 1 from $table where $text @@ to_tsquery('x:*')".($table === 'remarks' ? ' and fingerprint is null' : '')),
            'QUERY PLAN',
        ),
    );
    expect($plan)->toContain("{$table}_search");
})->with([
    ['students', "to_tsvector('simple', name || ' ' || handle || ' ' || email)"],
    ['assignments', "to_tsvector('simple', title || ' ' || summary)"],
    ['remarks', "to_tsvector('english', body)"],
    ['stock_remarks', "to_tsvector('english', body)"],
]);

it('shows a rule with its examples', function () {
    $rule = $this->getJson('/api/rules/markup/missing-alt')->assertOk()->json();
    expect($rule)->toMatchArray([
        'id' => 'markup/missing-alt',
        'title' => 'Missing alt text',
        'weight' => 'fault',
        'mark' => 'insert',
        'source' => 'WCAG 2.2, 1.1.1 Non-text Content',
        'sourceUrl' => 'https://www.w3.org/TR/WCAG22/#non-text-content',
    ])
        ->and($rule['examples'][0])->toMatchArray(
            ['variant' => 'none', 'bad' => "index.html\n<p><img src=\"gull.svg\"></p>"],
        )
        ->and($rule['examples'][0]['says'])->toStartWith('The picture `gull.svg` has no alt text');
    $this->getJson('/api/rules/markup/no-such-rule')->assertNotFound();
});

it('takes eight words at most, each once', function () {
    expect(Words::of('a b c d e f g h i j')->words)->toHaveCount(8)->and(Words::of('Été été')->words)->toBe(['été']);
});
