<?php

declare(strict_types=1);

namespace InkedMargin\Core\Site\Url;

/** The validation errors of the URL Standard (1.1) that a parser here tells apart, under the standard's names. */
enum UrlProblem: string
{
    case DomainToAscii = 'domain-to-ASCII';
    case DomainInvalidCodePoint = 'domain-invalid-code-point';
    case HostInvalidCodePoint = 'host-invalid-code-point';
    case Ipv4 = 'IPv4-invalid';
    case Ipv6 = 'IPv6-invalid';
    case InvalidUrlUnit = 'invalid-URL-unit';
    case SpecialSchemeMissingFollowingSolidus = 'special-scheme-missing-following-solidus';
    case MissingSchemeNonRelativeUrl = 'missing-scheme-non-relative-URL';
    case InvalidReverseSolidus = 'invalid-reverse-solidus';
    case InvalidCredentials = 'invalid-credentials';
    case HostMissing = 'host-missing';
    case PortOutOfRange = 'port-out-of-range';
    case PortInvalid = 'port-invalid';
    case FileInvalidWindowsDriveLetter = 'file-invalid-Windows-drive-letter';
}
