<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\BriefError;

/**
 * A brief that is being written: each requirement is read by itself, so that one that is not whole yet does not hide
 * the others. Besides its requirements it may have some that are only proposed, which are no part of the brief until
 * they are taken over.
 */
final readonly class ProposedBrief
{
    /**
     * @param  array<mixed>  $values  as it was written
     * @param  list<ProposedRequirement>  $requirements  in order
     * @param  Brief|null  $brief  with those that can be read; null where there are none, or where its own fields
     *     cannot
     * @param  list<string>  $problems  of the whole, with the lines of the source: none when it can be put in use
     * @param  list<ProposedRequirement>  $proposed
     * @param  Brief|null  $proposal  with those proposed that can be read; null where there are none
     */
    private function __construct(
        public array $values,
        public array $requirements,
        public ?Brief $brief,
        public array $problems,
        public array $proposed,
        public ?Brief $proposal,
    ) {
    }

    /**
     * @param  string  $source  YAML or JSON
     *
     * @throws BriefError where it is neither, or no map at all
     */
    public static function read(string $source): self
    {
        $values = BriefReader::values($source);
        $requirements = self::requirements($values['requirements'] ?? null);
        $proposed = self::requirements($values['proposed'] ?? null);
        $proposal = self::readable($values, $proposed);
        try {
            $brief = BriefReader::read(isset($values['proposed']) ? self::withoutProposed($values) : $source);

            return new self($values, $requirements, $brief, [], $proposed, $proposal);
        } catch (BriefError $error) {
            $readable = self::readable($values, $requirements);

            return new self($values, $requirements, $readable, $error->problems, $proposed, $proposal);
        }
    }

    /** @return list<ProposedRequirement> */
    private static function requirements(mixed $list): array
    {
        return is_array($list) && array_is_list($list) ? array_map(ProposedRequirement::read(...), $list) : [];
    }

    /** @param  array<mixed>  $values */
    private static function withoutProposed(array $values): string
    {
        return json_encode(
            array_diff_key($values, ['proposed' => 1]),
            JSON_PRESERVE_ZERO_FRACTION | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_THROW_ON_ERROR,
        );
    }

    /**
     * @param  array<mixed>  $values
     * @param  list<ProposedRequirement>  $requirements
     */
    private static function readable(array $values, array $requirements): ?Brief
    {
        $whole = self::whole($requirements);
        if ($whole === []) {
            return null;
        }
        try {
            return BriefReader::read(json_encode(
                [
                    'title' => 'Draft',
                    'requirements' => array_values($whole),
                ] + array_intersect_key($values, ['marking' => 1, 'ignore' => 1]),
                JSON_THROW_ON_ERROR,
            ));
        } catch (BriefError) {
            return null;
        }
    }

    /**
     * @param  list<ProposedRequirement>  $requirements
     * @return array<array<string, mixed>> the first of each id that could be read
     */
    private static function whole(array $requirements): array
    {
        $whole = [];
        foreach ($requirements as $one) {
            if ($one->requirement !== null) {
                $whole[$one->requirement->terms->id] ??= $one->values;
            }
        }

        return $whole;
    }
}
