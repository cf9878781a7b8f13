<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Styles;

use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Site\ReferenceKind;
use InkedMargin\Core\Site\SiteFact;

/** What may style pages and cannot be read here: stylesheets that are not in the site, and scripts. */
final readonly class OtherStyles implements SiteFact
{
    private function __construct(private bool $isOutside, private string $scripts)
    {
    }

    public static function of(ParsedSite $site): static
    {
        $isOutside = false;
        foreach ($site->references() as $reference) {
            // Services that give fonts give nothing else (common practice).
            $isSheet = $reference->kind === ReferenceKind::Stylesheet && ! str_contains($reference->written, 'family=');
            $isScript = $reference->element?->name === 'script';
            $isOutside = $isOutside || (($isSheet || $isScript) && $reference->target->found === null);
        }
        $scripts = '';
        foreach ($site->files->ownFiles() as $file) {
            $scripts .= $file->extension() === 'js' ? $file->bytes : '';
        }
        foreach ($site->pages as $page) {
            foreach ($page->named('script') as $script) {
                $scripts .= $script->text();
            }
        }

        return new self($isOutside, $scripts);
    }

    /** Whether a name, such as that of an animation, may be given by something that cannot be read here. */
    public function mayKnow(string $name): bool
    {
        return $this->isOutside || str_contains($this->scripts, $name);
    }
}
