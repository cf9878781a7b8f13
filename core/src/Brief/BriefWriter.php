<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\Requirement;
use Symfony\Component\Yaml\Yaml;

/** Writes a brief as it was read, with its comments before what they are about: read again, it is the same. */
final readonly class BriefWriter
{
    /** Levels that have lines of their own. */
    private const LEVELS = 3;

    public static function yaml(Brief $brief): string
    {
        return self::dump(self::values($brief));
    }

    /** A brief that is being written, whether it is whole or not, without what is only proposed. */
    public static function draft(ProposedBrief $draft): string
    {
        $values = array_diff_key($draft->values, ['proposed' => 1]);
        if (isset($values['requirements']) && is_array($values['requirements'])) {
            $values['requirements'] = array_map(
                fn (mixed $one) => is_array($one) ? self::objects($one) : $one,
                $values['requirements'],
            );
        }

        return self::dump($values);
    }

    /** @param  array<mixed>  $values */
    private static function dump(array $values): string
    {
        $list = is_array($values['requirements'] ?? null) ? array_values($values['requirements']) : [];
        $comments = [];
        foreach ($list as $at => $one) {
            $comment = is_array($one) ? $one['comment'] ?? null : null;
            if (is_array($one) && is_string($comment)) {
                $comments[$at] = $comment;
                $list[$at] = array_diff_key($one, ['comment' => 1]);
            }
        }
        $ofBrief = is_string($values['comment'] ?? null) ? $values['comment'] : null;
        if (isset($values['requirements']) && is_array($values['requirements'])) {
            $values['requirements'] = $list;
        }
        unset($values['comment']);
        $flags = Yaml::DUMP_OBJECT_AS_MAP | Yaml::DUMP_COMPACT_NESTED_MAPPING;

        return YamlComments::write(Yaml::dump($values, self::LEVELS, 2, $flags), $ofBrief, $comments);
    }

    public static function json(Brief $brief): string
    {
        return json_encode(
            self::values($brief),
            JSON_PRETTY_PRINT | JSON_UNESCAPED_SLASHES | JSON_UNESCAPED_UNICODE | JSON_PRESERVE_ZERO_FRACTION
                | JSON_THROW_ON_ERROR,
        )."\n";
    }

    /** @return array<string, mixed> */
    private static function values(Brief $brief): array
    {
        return array_filter([
            'title' => $brief->title,
            'comment' => $brief->comment ?? [],
            'marking' => $brief->scheme->given,
            'requirements' => array_map(
                fn (Requirement $one) => self::objects($one->terms->given),
                $brief->requirements,
            ),
            'ignore' => array_map(fn (Ignored $one) => $one->given, $brief->ignored),
        ], fn (mixed $value) => $value !== []);
    }

    /**
     * Steps are a map whatever their numbers: from 0 on they would be written as a list.
     *
     * @param  array<mixed>  $given
     * @return array<mixed>
     */
    private static function objects(array $given): array
    {
        if (isset($given['steps']) && is_array($given['steps'])) {
            $given['steps'] = (object) $given['steps'];
        }

        return $given;
    }
}
