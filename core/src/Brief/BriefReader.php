<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Kind\Count;
use InkedMargin\Core\Brief\Kind\Files;
use InkedMargin\Core\Brief\Kind\Indentation;
use InkedMargin\Core\Brief\Kind\Markup;
use InkedMargin\Core\Brief\Kind\Names;
use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Brief\Kind\Pictures;
use InkedMargin\Core\Brief\Kind\Skeleton;
use InkedMargin\Core\Brief\Kind\Starter;
use InkedMargin\Core\Brief\Kind\Stylesheets;
use InkedMargin\Core\Brief\Kind\Titles;
use InkedMargin\Core\Brief\Kind\WantedLink;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** Reads a brief from YAML, or from JSON, which is YAML too. The format is `docs/brief.md`. */
final readonly class BriefReader
{
    /** @var list<class-string<Requirement>> */
    public const KINDS = [Files::class, Names::class, Titles::class, Skeleton::class, Count::class, Stylesheets::class, Navigation::class, WantedLink::class, Pictures::class, Markup::class, Indentation::class, Starter::class];

    /** @throws BriefError with every problem found */
    public static function read(string $source): Brief
    {
        try {
            $values = Yaml::parse($source);
        } catch (ParseException $error) {
            throw new BriefError(['line '.max(1, $error->getParsedLine()).': '.$error->getMessage()]);
        }
        if (! is_array($values)) {
            throw new BriefError(['a brief is a map with a title and requirements']);
        }
        /** @var \ArrayObject<int, string> $problems */
        $problems = new \ArrayObject;
        $fields = new Fields($values, '', $problems);
        $brief = new Brief($fields->requiredText('title'), self::requirements($fields, $problems));
        $fields->refuseUnknown();
        if (count($problems) > 0) {
            throw new BriefError(array_values($problems->getArrayCopy()) ?: ['unreadable']);
        }

        return $brief;
    }

    /**
     * @param  \ArrayObject<int, string>  $problems
     * @return list<Requirement>
     */
    private static function requirements(Fields $fields, \ArrayObject $problems): array
    {
        $list = $fields->value('requirements');
        if (! is_array($list) || $list === [] || ! array_is_list($list)) {
            $fields->problem('requirements', 'a list of requirements was expected');

            return [];
        }
        $requirements = [];
        foreach ($list as $index => $values) {
            $where = 'requirements.'.($index + 1);
            if (! is_array($values)) {
                $problems[] = "$where: a map with id, kind and title was expected";

                continue;
            }
            $requirement = self::requirement(new Fields($values, $where, $problems));
            if ($requirement === null) {
                continue;
            }
            if (isset($requirements[$requirement->terms->id])) {
                $problems[] = "$where.id: \"{$requirement->terms->id}\" is taken by another requirement";
            }
            $requirements[$requirement->terms->id] = $requirement;
        }

        return array_values($requirements);
    }

    private static function requirement(Fields $fields): ?Requirement
    {
        $named = $fields->requiredText('kind');
        $terms = new Terms(
            $fields->requiredText('id'),
            $fields->requiredText('title'),
            self::scope($fields),
            $fields->number('points', 0.0),
            $fields->choice('credit', Credit::Share),
            $fields->has('weight') ? self::weight($fields) : null,
            $fields->has('message') ? $fields->text('message') : null,
        );
        foreach (self::KINDS as $kind) {
            if ($kind::kind() === $named) {
                $requirement = $kind::read($terms, $fields);
                $fields->refuseUnknown();

                return $requirement;
            }
        }
        if ($named !== '') {
            $known = array_map(fn (string $kind) => $kind::kind(), self::KINDS);
            $fields->problem('kind', "\"$named\" is not known; the kinds are ".implode(', ', $known));
        }

        return null;
    }

    private static function weight(Fields $fields): ?string
    {
        $weight = $fields->text('weight');
        if (in_array($weight, ['fault', 'departure', 'tidy'], true)) {
            return $weight;
        }
        $fields->problem('weight', 'one of fault, departure, tidy was expected');

        return null;
    }

    private static function scope(Fields $fields): PageScope
    {
        $pages = $fields->value('pages') ?? 'all';
        if ($pages === 'all') {
            return PageScope::all();
        }
        if ($pages === 'home') {
            return PageScope::only(['index.html']);
        }
        if (is_array($pages) && array_keys($pages) === ['not']) {
            $pages = $pages['not'];
            $allBut = true;
        }
        $globs = is_string($pages) ? [$pages] : $pages;
        if (! is_array($globs) || $globs === [] || array_filter($globs, fn (mixed $glob) => ! is_string($glob)) !== []) {
            $fields->problem('pages', 'all, home, a list of names, or "not" with a list of names was expected');

            return PageScope::all();
        }
        /** @var list<string> $globs */
        $globs = array_values($globs);

        return isset($allBut) ? PageScope::allBut($globs) : PageScope::only($globs);
    }
}
