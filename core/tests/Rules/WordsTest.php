<?php

declare(strict_types=1);

use InkedMargin\Core\Rules\Catalogue;
use InkedMargin\Core\Tests\WordsOfExamples;

// What every rule says to a student about its bad examples, word for word. A change of words is a change that somebody
// reads: `WRITE_WORDS=1` writes the file anew, and the difference goes into the commit.

it('says of every example what stands in words.md', function () {
    $said = WordsOfExamples::render(Catalogue::rules());
    $file = __DIR__.'/words.md';
    if (getenv('WRITE_WORDS') === '1') {
        file_put_contents($file, $said);
    }

    expect($said)->toBe((string) file_get_contents($file));
});
