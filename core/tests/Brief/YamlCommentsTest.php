<?php

declare(strict_types=1);

namespace InkedMargin\Core\Tests\Brief;

use InkedMargin\Core\Brief\BriefReader;
use InkedMargin\Core\Brief\BriefWriter;
use InkedMargin\Core\Brief\ProposedBrief;
use InkedMargin\Core\Tests\Seed;

const COMMENTED = <<<'YAML'
    # For the autumn course.
    title: Almanac
    requirements:
      # Rowan asked for it.
      - id: pages
        kind: files
        title: "Files # one"
        names: [index.html] # more later
      - id: say
        kind: text
        title: Say
        has: high water
        message: |
          # no comment
    YAML;

it('keeps the comments of a brief', function () {
    $brief = BriefReader::read(COMMENTED);

    expect($brief->comment)->toBe('For the autumn course.')
        ->and($brief->requirements[0]->terms->given['comment'])->toBe("Rowan asked for it.\nmore later")
        ->and($brief->requirements[1]->terms->given)->not->toHaveKey('comment')
        ->and($brief->requirements[1]->terms->message)->toBe('# no comment');
});

it('writes them before what they are about', function () {
    $yaml = BriefWriter::yaml(BriefReader::read(COMMENTED));

    expect($yaml)->toStartWith("# For the autumn course.\ntitle: Almanac\n")
        ->and($yaml)->toContain("requirements:\n  # Rowan asked for it.\n  # more later\n  - id: pages\n")
        ->and(BriefWriter::yaml(BriefReader::read($yaml)))->toBe($yaml);
});

it('keeps them in JSON, and in a draft', function () {
    $brief = BriefReader::read(COMMENTED);

    expect(BriefWriter::yaml(BriefReader::read(BriefWriter::json($brief))))->toBe(BriefWriter::yaml($brief))
        ->and(BriefWriter::yaml(BriefReader::read(BriefWriter::draft(ProposedBrief::read(COMMENTED)))))
        ->toBe(BriefWriter::yaml($brief));
});

it('reads the same brief wherever comments stand', function () {
    $seed = Seed::fresh();
    $bare = implode("\n", preg_grep('/^\s*# /', explode("\n", preg_replace('/ # more later/', '', COMMENTED)), PREG_GREP_INVERT));
    $lines = [];
    foreach (explode("\n", $bare) as $line) {
        if ($seed->number(0, 1) === 1 && ! str_contains($line, 'no comment')) {
            $lines[] = str_repeat(' ', $seed->number(0, 4)).'# a comment: with "quotes" - and more';
        }
        $lines[] = $line;
    }
    $json = fn (string $source) => preg_replace('/\n *"comment": ".*",?(?=\n)/', '', BriefWriter::json(BriefReader::read($source)));

    expect(str_replace(",\n        }", "\n        }", $json(implode("\n", $lines))))->toBe($json($bare));
});
