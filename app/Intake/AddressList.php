<?php

declare(strict_types=1);

namespace App\Intake;

use App\Intake\Published\AddressRule;
use App\Intake\Published\FetchFailure;
use App\Models\Student;
use Illuminate\Support\Str;

/**
 * Whose published sites are where, as an instructor pastes it: a line for each, with a student's name or handle and an
 * address, in either order.
 */
final readonly class AddressList
{
    private const SPACE = " \t\u{00a0},;|";

    private function __construct(private StudentMatcher $matcher, private AddressRule $rule)
    {
    }

    /**
     * @return array{list<array{Student, string}>, list<string>} whose site is where; and what is wrong, a sentence a
     *     line
     */
    public static function read(string $text, StudentMatcher $matcher, AddressRule $rule): array
    {
        $list = new self($matcher, $rule);
        [$read, $wrong, $seen] = [[], [], []];
        foreach (preg_split('/\R/u', $text) ?: [] as $nth => $line) {
            if (trim($line, self::SPACE) === '') {
                continue;
            }
            $entry = $list->line($line);
            $entry = is_array($entry) && isset($seen[$entry[0]->id])
                ? "{$entry[0]->name} has an address already."
                : $entry;
            if (is_string($entry)) {
                $wrong[] = 'Line '.($nth + 1).": $entry";

                continue;
            }
            $seen[$entry[0]->id] = true;
            $read[] = $entry;
        }

        return [$read, $wrong];
    }

    /** @return array{Student, string}|string whose site is where; or what is wrong with the line */
    private function line(string $line): array|string
    {
        if (preg_match(
            '~(?<![\w@])(?:[a-z][a-z0-9+.-]*://|file:|www\.|localhost\b)[^\s,;|]*~iu',
            $line,
            $match,
        ) !== 1) {
            return 'there is no address. One begins with `https://` or `http://`.';
        }
        $address = $match[0];
        $name = trim(str_replace($address, ' ', $line), self::SPACE);
        try {
            $this->rule->read($address);
        } catch (FetchFailure $failure) {
            return $failure->getMessage();
        }
        if (mb_strlen($address) > 500) {
            return 'an address has 500 characters at most.';
        }
        $student = $name === '' ? null : $this->matcher->match($name);

        return match (true) {
            $student !== null => [$student, $address],
            $name === '' => 'the name or handle of a student is missing.',
            default => '“'.Str::limit($name, 60).'” is not one student of the roster.',
        };
    }
}
