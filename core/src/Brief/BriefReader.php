<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Kind\Navigation;
use InkedMargin\Core\Brief\Requirement\BriefError;
use InkedMargin\Core\Brief\Requirement\Fields;
use InkedMargin\Core\Brief\Requirement\Materials;
use InkedMargin\Core\Brief\Requirement\PageScope;
use InkedMargin\Core\Brief\Requirement\Portions;
use InkedMargin\Core\Brief\Requirement\Problems;
use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\Terms;
use InkedMargin\Core\Source\NearestName;
use InkedMargin\Core\Source\TextMap;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/** Reads a brief from YAML, or from JSON, which is YAML too. The format is `docs/brief.md`. */
final readonly class BriefReader
{
    /** Bytes. */
    private const LONGEST = 500_000;

    private const MAX_REQUIREMENTS = 5_000;

    /** With what aliases stand for: a few lines of them can come to more than any memory holds. */
    private const MAX_VALUES = 200_000;

    /**
     * A brief as it was kept.
     *
     * @throws BriefError with every problem found
     */
    public static function read(string $source): Brief
    {
        $values = self::values($source);

        return self::readValues($values, self::problemsIn($source, $values));
    }

    /**
     * A brief as somebody writes it now: what nobody can mean is refused too.
     *
     * @param  Materials|null  $materials  what the assignment gives; null where that is not known
     *
     * @throws BriefError with every problem found
     */
    public static function readNew(string $source, ?Materials $materials = null): Brief
    {
        $values = self::values($source);
        $problems = self::problemsIn($source, $values);
        Objections::raise($values, $problems, $materials);

        return self::readValues($values, $problems);
    }

    /** @param  array<mixed>  $values  the whole brief; a problem names the id of its requirement */
    private static function problemsIn(string $source, array $values): Problems
    {
        $problems = new Problems(preg_split('/\r\n|\r|\n/', $source) ?: []);
        $list = $values['requirements'] ?? null;
        foreach (is_array($list) ? array_values($list) : [] as $index => $one) {
            $id = is_array($one) ? $one['id'] ?? null : null;
            if (is_string($id) && $id !== '') {
                $problems->name('requirements.'.($index + 1), $id);
            }
        }

        return $problems;
    }

    /**
     * @param  array<mixed>  $values
     *
     * @throws BriefError
     */
    private static function readValues(array $values, Problems $problems): Brief
    {
        $ignored = $values['ignore'] ?? null;
        $requirements = $values['requirements'] ?? null;
        $marking = $values['marking'] ?? [];
        unset($values['ignore'], $values['requirements'], $values['marking']);
        $fields = new Fields($values, Brief::fields(), '', $problems);
        $title = $fields->text('title');
        $scheme = self::scheme($marking, $problems);
        $read = self::requirements($requirements, $scheme->total, $fields, $problems);
        $silent = $ignored === null ? [] : self::ignored($ignored, $fields, $problems);
        $brief = new Brief($title, $read, $silent, $scheme, $fields->optionalText('comment'));
        if ($problems->all() !== []) {
            throw new BriefError($problems->all());
        }

        return $brief;
    }

    /**
     * What a text in YAML or JSON says, before any of it is looked at.
     *
     * @return array<mixed>
     *
     * @throws BriefError where it says nothing that a brief could
     */
    public static function values(string $source): array
    {
        self::refuseUnreadable($source);
        try {
            $values = Yaml::parse($source);
        } catch (ParseException $error) {
            throw new BriefError(['line '.max(1, $error->getParsedLine()).': '.$error->getMessage()]);
        }

        if (! is_array($values)) {
            throw new BriefError(['a brief is a map with a title and requirements']);
        }
        if (self::hasTooMany($values)) {
            throw new BriefError([
                'a brief has '.number_format(self::MAX_VALUES).' values at most, aliases (`*name`) written out',
            ]);
        }

        return YamlComments::in($source)->addTo($values);
    }

    /** @throws BriefError where it is too long, not UTF-8, or has control characters */
    private static function refuseUnreadable(string $source): void
    {
        if (strlen($source) > self::LONGEST) {
            throw new BriefError(['a brief has '.number_format(self::LONGEST).' bytes at most']);
        }
        if (! mb_check_encoding($source, 'UTF-8')) {
            throw new BriefError(['the brief is not valid UTF-8']);
        }
        if (preg_match('/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/', $source, $control, PREG_OFFSET_CAPTURE) === 1) {
            throw new BriefError([
                'line '.(substr_count($source, "\n", 0, $control[0][1]) + 1).': there is a control character here',
            ]);
        }
    }

    /** @param  array<mixed>  $values */
    private static function hasTooMany(array $values): bool
    {
        /** @var list<array<mixed>> $waiting */
        $waiting = [$values];
        $seen = 0;
        while ($waiting !== []) {
            foreach (array_pop($waiting) as $value) {
                if (++$seen > self::MAX_VALUES) {
                    return true;
                }
                if (is_array($value)) {
                    $waiting[] = $value;
                }
            }
        }

        return false;
    }

    private static function scheme(mixed $values, Problems $problems): Scheme
    {
        if (! is_array($values) || ($values !== [] && array_is_list($values))) {
            $problems->add('', 'marking', 'a map of fields was expected');

            return new Scheme;
        }

        return Scheme::read(new Fields($values, Scheme::fields(), 'marking', $problems));
    }

    /** @return list<Requirement> */
    private static function requirements(mixed $list, ?float $total, Fields $fields, Problems $problems): array
    {
        if (! is_array($list) || $list === [] || ! array_is_list($list) || count($list) > self::MAX_REQUIREMENTS) {
            $problems->add('', 'requirements', 'a list of 1 to '.self::MAX_REQUIREMENTS.' requirements was expected');

            return [];
        }
        /** @var TextMap<Requirement> $requirements */
        $requirements = new TextMap;
        $scaled = $total === null ? [] : self::scaled($list, $total, $problems);
        foreach ($list as $index => $values) {
            $where = 'requirements.'.($index + 1);
            if (! is_array($values)) {
                $problems->add('', $where, 'a map with id, kind and title was expected');

                continue;
            }
            $requirement = self::requirement($values, $where, $problems, $scaled[$index] ?? null);
            if ($requirement === null) {
                continue;
            }
            if ($requirements->has($requirement->terms->id)) {
                $problems->add($where, 'id', "\"{$requirement->terms->id}\" is the id of another requirement");
            }
            $requirements->put($requirement->terms->id, $requirement);
        }

        return Navigation::together(array_values(iterator_to_array($requirements)));
    }

    /**
     * The points of requirements in proportion to a total, whatever they are written as.
     *
     * @param  list<mixed>  $list
     * @return list<float> to the hundredth; they add up to the total
     */
    private static function scaled(array $list, float $total, Problems $problems): array
    {
        $written = array_map(function (mixed $values): float {
            $steps = is_array($values) ? $values['steps'] ?? null : null;
            $points = is_array($values) ? $values['points'] ?? null : null;
            $numbers = array_filter(
                is_array($steps) ? $steps : [$points],
                fn (mixed $one) => is_int($one) || is_float($one),
            );

            return max([0.0, ...array_map(floatval(...), array_values($numbers))]);
        }, $list);
        if (array_sum($written) <= 0.0) {
            $problems->add('marking', 'total', 'no requirement has points that could be scaled to it');
        }

        return Portions::of($total, $written);
    }

    /** @param  array<mixed>  $values */
    private static function requirement(array $values, string $where, Problems $problems, ?float $points): ?Requirement
    {
        $named = $values['kind'] ?? '';
        $kind = is_string($named) ? Kinds::named($named) : null;
        if ($kind === null) {
            self::noKind($named, $where, $problems);

            return null;
        }
        $fields = new Fields($values, [...Terms::fields(), ...$kind::fields()], $where, $problems);

        return $kind::read(Terms::read($fields, $points), $fields);
    }

    private static function noKind(mixed $named, string $where, Problems $problems): void
    {
        $known = Kinds::names();
        $meant = is_string($named) ? NearestName::of($named, $known) : null;
        $what = $named === ''
            ? 'is missing'
            : (is_string($named) ? "there is no kind \"$named\"" : 'text was expected');
        $problems->add(
            $where,
            'kind',
            $what.($meant === null ? '; the kinds are '.implode(', ', $known) : "; did you mean \"$meant\"?"),
        );
    }

    /** @return list<Ignored> */
    private static function ignored(mixed $list, Fields $brief, Problems $problems): array
    {
        if (! is_array($list) || ! array_is_list($list)) {
            $problems->add('', 'ignore', 'a list of rules was expected');

            return [];
        }
        $ignored = [];
        foreach ($list as $index => $item) {
            $ignored[] = self::ignoredAt($index, $item, $problems);
        }

        return $ignored;
    }

    private static function ignoredAt(int $index, mixed $item, Problems $problems): Ignored
    {
        $fields = new Fields(
            is_array($item) ? $item : ['rules' => $item],
            Ignored::fields(),
            'ignore.'.($index + 1),
            $problems,
        );

        return new Ignored(
            $fields->texts('rules'),
            PageScope::read($fields->value('pages'), $fields),
            $fields->given(),
        );
    }
}
