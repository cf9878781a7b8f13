<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules;

use InkedMargin\Core\Brief\Kinds;

/**
 * Every rule there is, in the order of the printed catalogue. A new rule is one more line here; kinds of requirements
 * bring their own.
 */
final readonly class Catalogue
{
    /** @var list<class-string<Rule>> */
    private const RULES = [
        File\Missing::class,
        File\NoHome::class,
        File\Unexpected::class,
        File\Name::class,
        File\DoubleExtension::class,
        File\WrongType::class,
        File\Litter::class,
        File\FolderShape::class,
        File\ArchiveName::class,
        File\Unused::class,
        File\EmptyFile::class,
        File\Unreadable::class,
        File\TooLarge::class,
        Link\MissingFile::class,
        Link\LetterCase::class,
        Link\WrongFolder::class,
        Link\LocalPath::class,
        Link\OutsideSite::class,
        Link\MissingFragment::class,
        Link\EmptyLink::class,
        Link\MissingScheme::class,
        Link\BadAddress::class,
        Link\BadScheme::class,
        Link\FolderWithoutIndex::class,
        Link\LabelMismatch::class,
        Link\VagueLabel::class,
        Link\OutsideSameTab::class,
        Link\InsideNewTab::class,
        Link\OutsideInMenu::class,
        Nav\MissingMenu::class,
        Nav\MenuDiffers::class,
        Nav\MenuOrder::class,
        Nav\MenuPlace::class,
        Nav\WrongCurrent::class,
        Nav\UnreachablePage::class,
        Nav\DeadEnd::class,
        Nav\NoWayHome::class,
        Nav\Pattern::class,
        Markup\ParseError::class,
        Markup\MissingDoctype::class,
        Markup\QuirksDoctype::class,
        Markup\MissingSkeletonTag::class,
        Markup\UnclosedElement::class,
        Markup\OptionalEndTag::class,
        Markup\StrayEndTag::class,
        Markup\Misnested::class,
        Markup\UnknownElement::class,
        Markup\UnknownAttribute::class,
        Markup\ObsoleteElement::class,
        Markup\ObsoleteAttribute::class,
        Markup\ContentModel::class,
        Markup\MissingAttribute::class,
        Markup\BadAttributeValue::class,
        Markup\DuplicateAttribute::class,
        Markup\DuplicateId::class,
        Markup\MissingId::class,
        Markup\MissingTitle::class,
        Markup\EmptyTitle::class,
        Markup\MissingLang::class,
        Markup\MissingCharset::class,
        Markup\MissingAlt::class,
        Markup\MissingLabel::class,
        Markup\MissingFrameTitle::class,
        Markup\PoorAlt::class,
        Markup\NoMainHeading::class,
        Markup\SecondMainHeading::class,
        Markup\HeadingSkips::class,
        Markup\EmptyElement::class,
        Markup\StrayText::class,
        Markup\Indentation::class,
        Markup\RawCharacter::class,
        Markup\BreakForSpace::class,
        Markup\TagCase::class,
        Markup\Encoding::class,
        Style\None::class,
        Style\NotOnPage::class,
        Style\SheetOrder::class,
        Style\Inline::class,
        Style\Embedded::class,
        Style\NotInHead::class,
        Style\MissingRel::class,
        Style\LinkedTwice::class,
        Style\Syntax::class,
        Style\AtRule::class,
        Style\UndefinedVariable::class,
        Style\UndefinedName::class,
        Style\UnknownProperty::class,
        Style\InvalidValue::class,
        Style\UnknownSelector::class,
        Style\MatchesNothing::class,
        Style\NoRuleFor::class,
        Style\NearMiss::class,
        Style\ElementNameAsClass::class,
        Style\Overridden::class,
        Style\LowContrast::class,
        Style\ColourWithoutBackground::class,
        Style\LinkStateOrder::class,
        Style\NoGenericFont::class,
        Content\SameTitle::class,
        Content\SameHeading::class,
        Content\TitleNotHeading::class,
        Content\SamePicture::class,
        Content\SameText::class,
        Content\DefaultTitle::class,
        Content\Placeholder::class,
        Content\StarterUnchanged::class,
        Content\OversizePicture::class,
        Content\HeavyPicture::class,
        Content\DistortedPicture::class,
        Content\UnwrappedText::class,
    ];

    /** @return list<Rule> */
    public static function rules(): array
    {
        /** @var list<Rule>|null $rules */
        static $rules = null;

        return $rules ??= [
            ...array_map(fn (string $rule) => new $rule, self::RULES),
            ...array_map(fn (string $kind) => new RequirementRule($kind::facts()), Kinds::speakingForThemselves()),
        ];
    }

    /** The rule with an id; null when there is none. */
    public static function rule(string $id): ?Rule
    {
        /** @var array<string, Rule>|null $byId */
        static $byId = null;
        $byId ??= array_column(self::rules(), null, 'id');

        return $byId[$id] ?? null;
    }
}
