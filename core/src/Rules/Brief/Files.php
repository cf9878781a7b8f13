<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Brief;

use InkedMargin\Core\Brief\Kind\Files as FilesRequirement;
use InkedMargin\Core\Brief\MissingPage;
use InkedMargin\Core\Brief\Requirement;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Rules\Example;
use InkedMargin\Core\Rules\Rule;

/** There are more or fewer files of some names than the brief asks for, or no page at all. Common practice. */
final readonly class Files extends Rule
{
    public function __construct()
    {
        parent::__construct(
            'brief/files',
            Weight::Departure,
            ProofMark::Change,
            'There are more or fewer files than the brief asks for.',
        );
    }

    public function examples(): array
    {
        $page = ['index.html' => '<p>Puffins nest here.</p>'];
        $with = [
            'index.html' => '<p>Puffins nest here.</p><p><img src="gull.svg" alt="A gull"></p>',
            'gull.svg' => '<svg xmlns="http://www.w3.org/2000/svg"/>',
        ];

        return [
            new Example('too-few', $page, $with, 'kind: files, names: "*.svg", at_least: 1'),
            new Example('too-many', $with, $page, 'kind: files, names: "*.svg", at_most: 0'),
            new Example(
                MissingPage::NONE,
                $page,
                [
                    'index.html' => '<p>Puffins nest here. <a href="log/1.html">The log</a></p>',
                    'log/1.html' => '<p>First day. <a href="../index.html">Home</a></p>',
                ],
                'kind: count, pages: "log/*.html", selector: p, at_least: 1',
            ),
        ];
    }

    public function speaksFor(): array
    {
        return [FilesRequirement::class => ['too-few', 'too-many'], Requirement::class => [MissingPage::NONE]];
    }
}
