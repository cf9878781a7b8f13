<?php

declare(strict_types=1);

namespace InkedMargin\Core\Rules\Link;

use InkedMargin\Core\Brief\Examination;
use InkedMargin\Core\Finding\Citation;
use InkedMargin\Core\Finding\Draft;
use InkedMargin\Core\Finding\ProofMark;
use InkedMargin\Core\Finding\Related;
use InkedMargin\Core\Finding\RuleFacts;
use InkedMargin\Core\Finding\Subject;
use InkedMargin\Core\Finding\Weight;
use InkedMargin\Core\Site\AddressFault;
use InkedMargin\Core\Site\AddressSlip;
use InkedMargin\Core\Site\Reference;
use InkedMargin\Core\Site\Resolution;
use InkedMargin\Core\Site\Url\UrlProblem;

/**
 * An address that the URL Standard cannot parse or warns about (4.4, validation errors), or that is not written as one.
 */
final readonly class BadAddress extends ReferenceRule
{
    private const MAX_RELATED = 12;

    public function __construct()
    {
        parent::__construct(new RuleFacts(
            'link/bad-address',
            'Invalid address',
            Weight::Departure,
            ProofMark::Change,
            'An address is not valid, or not written as browsers need it.',
            'A browser has to guess what a wrongly written address means. If it guesses wrong, the '
                .'link opens an error page or somebody else’s site.',
            Citation::url('URL writing', 'url-writing'),
            ['file/name'],
        ));
    }

    public function check(Examination $exam): iterable
    {
        yield from parent::check($exam);
        foreach ($exam->site->references() as $reference) {
            if (
                $reference->element !== null
                && $reference->target->resolution !== Resolution::BadAddress
                && $this->hasSpaceAround($reference)
            ) {
                yield $this->slip($reference, AddressSlip::SpaceAround);
            }
        }
        yield from $this->rooted($exam);
    }

    protected function resolution(): Resolution
    {
        return Resolution::BadAddress;
    }

    protected function checkReference(Reference $reference, Examination $exam): Draft
    {
        $target = $reference->target;
        $found = $target->found;
        if ($target->slip !== null) {
            return $this->slip($reference, $target->slip);
        }
        $fault = $this->problem($reference, $target->problem ?? UrlProblem::InvalidUrlUnit);

        return Draft::atAddress($reference)
            ->variant($fault->variant)
            ->says($fault->message)
            ->remedy($fault->mended === null
                ? 'Check it against the address bar of a browser.'
                : 'Type '.self::written($reference, $fault->mended).'.')
            ->mend($fault->mended === null ? null : self::rewrite($reference, $fault->mended))
            ->causedBy(...($found === null ? [] : [Subject::file($found)]));
    }

    private function problem(Reference $reference, UrlProblem $problem): AddressFault
    {
        $target = $reference->target;
        $quoted = "`{$reference->written}`";
        $inside = $target->found === null ? null : $reference->relativeUrlTo($target->found);
        if (str_contains($reference->written, '\\')) {
            return new AddressFault(
                'backslash',
                "The address $quoted has backslashes (`\\`) in place of slashes.",
                strtr(trim($reference->written), '\\', '/'),
            );
        }
        if ($problem === UrlProblem::InvalidUrlUnit && str_contains(trim($reference->written), ' ')) {
            return new AddressFault(
                'space',
                "The address $quoted has a space in it.",
                $inside ?? str_replace(' ', '%20', trim($reference->written)),
            );
        }

        return match ($problem) {
            UrlProblem::InvalidUrlUnit => new AddressFault(
                'character',
                "The address $quoted has a character in it that addresses have to escape.",
                $inside ?? self::escaped($reference->written),
            ),
            UrlProblem::SpecialSchemeMissingFollowingSolidus => new AddressFault(
                'scheme',
                "There should be two slashes after the colon in $quoted.",
                $target->address,
            ),
            UrlProblem::PortInvalid, UrlProblem::PortOutOfRange => new AddressFault(
                'port',
                "The address $quoted has an invalid port, the number after the colon.",
                null,
            ),
            UrlProblem::HostMissing => new AddressFault('no-host', "The address $quoted names no site after `//`."),
            default => new AddressFault('host', "The address $quoted has an invalid site name.", null),
        };
    }

    /** With percent signs for what is no URL code point (URL Standard, 4.3). */
    private static function escaped(string $address): string
    {
        return preg_replace_callback(
            '/[^\p{L}\p{N}!$&\'()*+,\-.\/:;=?@_~#%]/u',
            fn (array $one) => rawurlencode($one[0]),
            trim($address),
        ) ?? $address;
    }

    private function slip(Reference $reference, AddressSlip $slip): Draft
    {
        $mended = $slip->mended($reference->written);
        $message = match ($slip) {
            AddressSlip::Scheme => "`{$reference->written}` does not start with `http://` or `https://`, so browsers "
                .'look for a file of that name.',
            AddressSlip::Mail => "`{$reference->written}` is an e-mail address, but browsers take it for a file name.",
            AddressSlip::Telephone => "`{$reference->written}` is a telephone number, but browsers take it for a file "
                .'name.',
            AddressSlip::SpaceAround => 'There is a space before or after this address.',
        };

        return Draft::atAddress($reference)
            ->variant($slip->value)
            ->anchored('#'.$slip->value)
            ->says($message)
            ->remedy('Type '.self::written($reference, $mended).'.')
            ->mend(self::rewrite($reference, $mended));
    }

    private function hasSpaceAround(Reference $reference): bool
    {
        return trim($reference->written) !== '' && $reference->written !== trim($reference->written, " \t\n\f\r")
            && ! in_array($reference->attribute, ['srcset', 'style', 'content'], true);
    }

    /**
     * @return iterable<Draft> addresses from the root of the server, where the others are relative: they break in a
     *     folder
     */
    private function rooted(Examination $exam): iterable
    {
        $inside = $rooted = [];
        foreach ($exam->site->references() as $reference) {
            $first = $reference->written[0] ?? '#';
            if ($reference->target->found === null || $first === '#' || $first === '?') {
                continue;
            }
            $inside[] = $reference;
            if ($first === '/') {
                $rooted[] = $reference;
            }
        }
        if ($rooted === [] || 2 * count($rooted) > count($inside)) {
            return;
        }
        yield self::fromRoot($rooted);
    }

    /** @param  non-empty-list<Reference>  $rooted the references that start at the root of the server */
    private static function fromRoot(array $rooted): Draft
    {
        $first = $rooted[0];
        $meant = $first->relativeUrlTo((string) $first->target->found);

        return Draft::atAddress($first)
            ->variant('root')
            ->anchored('#root')
            ->says("`{$first->written}` starts at the root of the server, so it breaks when the site is in a folder "
                .'or opened from a disk.')
            ->remedy('Type '.self::written($first, $meant).'.')
            ->related(...array_map(
                fn (Reference $one) => new Related($one->from, $one->span, 'the same here'),
                array_slice($rooted, 1, self::MAX_RELATED),
            ))
            ->mend(self::rewrite($first, $meant));
    }
}
