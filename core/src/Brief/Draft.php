<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

/**
 * A brief that is being written: each requirement is read by itself, so that one that is not whole yet does not hide the
 * others.
 */
final readonly class Draft
{
    /**
     * @param  array<mixed>  $values  as it was written
     * @param  list<DraftRequirement>  $requirements  in order
     * @param  Brief|null  $brief  with those that can be read; null where there are none, or where its own fields cannot
     * @param  list<string>  $problems  of the whole, with the lines of the source: none when it can be put in use
     */
    private function __construct(public array $values, public array $requirements, public ?Brief $brief, public array $problems)
    {
    }

    /**
     * @param  string  $source  YAML or JSON
     *
     * @throws BriefError where it is neither, or no map at all
     */
    public static function read(string $source): self
    {
        $values = BriefReader::values($source);
        $list = $values['requirements'] ?? null;
        $requirements = [];
        foreach (is_array($list) && array_is_list($list) ? $list : [] as $one) {
            $requirements[] = DraftRequirement::read($one);
        }
        try {
            return new self($values, $requirements, BriefReader::read($source), []);
        } catch (BriefError $error) {
            return new self($values, $requirements, self::readable($values, $requirements), $error->problems);
        }
    }

    /**
     * @param  array<mixed>  $values
     * @param  list<DraftRequirement>  $requirements
     */
    private static function readable(array $values, array $requirements): ?Brief
    {
        $whole = [];
        foreach ($requirements as $one) {
            if ($one->requirement !== null) {
                $whole[$one->requirement->terms->id] ??= $one->values;
            }
        }
        if ($whole === []) {
            return null;
        }
        try {
            return BriefReader::read(json_encode(
                ['title' => 'Draft', 'requirements' => array_values($whole)] + array_intersect_key($values, ['marking' => 1, 'ignore' => 1]),
                JSON_THROW_ON_ERROR,
            ));
        } catch (BriefError) {
            return null;
        }
    }
}
