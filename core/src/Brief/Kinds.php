<?php

declare(strict_types=1);

namespace InkedMargin\Core\Brief;

use InkedMargin\Core\Brief\Requirement\Requirement;
use InkedMargin\Core\Brief\Requirement\SpeaksForItself;

/** Every kind of requirement, in the order of the documentation. A new kind is one more line here. */
final readonly class Kinds
{
    /** @var list<class-string<Requirement>> */
    public const ALL = [
        Kind\Files::class,
        Kind\Names::class,
        Kind\Titles::class,
        Kind\Headings::class,
        Kind\Skeleton::class,
        Kind\Count::class,
        Kind\Table::class,
        Kind\Text::class,
        Kind\Attributes::class,
        Kind\Stylesheets::class,
        Kind\Contrast::class,
        Kind\Navigation::class,
        Kind\Link::class,
        Kind\Pictures::class,
        Kind\Markup::class,
        Kind\Indentation::class,
        Kind\Starter::class,
        Kind\Model::class,
        Kind\Address::class,
        Kind\Look::class,
    ];

    /** @return list<string> */
    public static function names(): array
    {
        return array_map(fn (string $kind) => $kind::kind(), self::ALL);
    }

    /** @return list<class-string<SpeaksForItself>> */
    public static function speakingForThemselves(): array
    {
        return array_values(array_filter(
            self::ALL,
            fn (string $kind) => is_subclass_of($kind, SpeaksForItself::class),
        ));
    }

    /** @return class-string<Requirement>|null */
    public static function named(string $name): ?string
    {
        foreach (self::ALL as $kind) {
            if ($kind::kind() === $name) {
                return $kind;
            }
        }

        return null;
    }
}
