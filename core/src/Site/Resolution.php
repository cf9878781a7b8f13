<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site;

/** What became of a reference when it was resolved. */
enum Resolution: string
{
    /** leads to a file of the site */
    case Found = 'found';
    /** leads to a page of the site that has no such part */
    case MissingFragment = 'missing-fragment';
    /** leads to a file of the site, but is not written as addresses are */
    case BadAddress = 'bad-address';
    case LetterCase = 'letter-case';
    /** nothing is there, but a file of that name stands elsewhere in the site */
    case WrongFolder = 'wrong-folder';
    case MissingFile = 'missing-file';
    case FolderWithoutIndex = 'folder-without-index';
    case OutsideSite = 'outside-site';
    /** names a place on the author's own machine or network */
    case LocalPath = 'local-path';
    case MissingScheme = 'missing-scheme';
    /** begins with a scheme that nobody knows, or with one that something else belongs behind */
    case BadScheme = 'bad-scheme';
    /** nothing, or a bare `#`, that was to be filled in */
    case Placeholder = 'placeholder';
    /** another site */
    case Elsewhere = 'elsewhere';
    /** mail, telephone, script, data: nothing that a page is at */
    case Other = 'other';

    /** Whether a reader who follows it ends up where nothing is. */
    public function isBroken(): bool
    {
        return in_array(
            $this,
            [
                self::LetterCase, self::WrongFolder, self::MissingFile, self::FolderWithoutIndex, self::OutsideSite,
                self::LocalPath, self::MissingScheme,
            ],
            true,
        );
    }
}
