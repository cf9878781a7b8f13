<?php

declare(strict_types=1);

namespace App\Feedback;

use App\Models\StockRemark;
use App\Tables\RosterText;
use InkedMargin\Core\Report\Csv;
use Symfony\Component\Yaml\Exception\ParseException;
use Symfony\Component\Yaml\Yaml;

/**
 * Stock remarks as a file: CSV (RFC 4180) for spreadsheets, or YAML; each is read again in the form in which it is
 * written.
 */
final readonly class StockFile
{
    private const MERIT = 'merit';

    /** @param  iterable<StockRemark>  $remarks */
    public static function csv(iterable $remarks): string
    {
        $rows = [['remark', 'kind']];
        foreach ($remarks as $remark) {
            $rows[] = [$remark->body, $remark->merit ? self::MERIT : 'fix'];
        }

        return Csv::of($rows);
    }

    /** @param  iterable<StockRemark>  $remarks */
    public static function yaml(iterable $remarks): string
    {
        $list = [];
        foreach ($remarks as $remark) {
            $list[] = ['remark' => $remark->body] + ($remark->merit ? ['kind' => self::MERIT] : []);
        }

        return Yaml::dump($list, 2, 2, Yaml::DUMP_MULTI_LINE_LITERAL_BLOCK);
    }

    /**
     * @param  string  $bytes  YAML: a list of texts, or of maps with `remark` and `kind`; or CSV with the remark first
     * @return list<array{body: string, merit: bool}> those that are not empty
     */
    public static function read(string $bytes): array
    {
        $text = RosterText::decode($bytes);
        $read = [];
        foreach (self::list($text) ?? self::rows($text) as [$body, $kind]) {
            $body = trim($body);
            if ($body !== '') {
                $read[] = ['body' => $body, 'merit' => strtolower(trim($kind)) === self::MERIT];
            }
        }

        return $read;
    }

    /** @return list<array{string, string}>|null null for what is no list in YAML */
    private static function list(string $text): ?array
    {
        try {
            $values = Yaml::parse($text);
        } catch (ParseException) {
            return null;
        }
        if (! is_array($values) || ! array_is_list($values)) {
            return null;
        }
        $list = [];
        foreach ($values as $one) {
            $given = is_array($one) ? $one : ['remark' => $one];
            $word = fn (string $name) => is_scalar($given[$name] ?? null) ? (string) $given[$name] : '';
            $list[] = [$word('remark'), $word('kind')];
        }

        return $list;
    }

    /** @return list<array{string, string}> */
    private static function rows(string $text): array
    {
        $file = fopen('php://temp', 'r+');
        if ($file === false) {
            throw new \RuntimeException('There is no memory for a file of remarks.');
        }
        fwrite($file, preg_replace('/\r\n?/', "\n", $text) ?? $text);
        rewind($file);
        $first = (string) fgets($file);
        // In many countries a spreadsheet parts with semicolons.
        $separator = str_contains($first, ',') || ! str_contains($first, ';') ? ',' : ';';
        rewind($file);
        $rows = [];
        while (($cells = fgetcsv($file, null, $separator, '"', '')) !== false) {
            $rows[] = [preg_replace("/^'(?=[=+\\-@])/", '', (string) $cells[0]) ?? '', (string) ($cells[1] ?? '')];
        }
        fclose($file);
        if (strtolower(trim($rows[0][0] ?? '')) === 'remark') {
            array_shift($rows);
        }

        return $rows;
    }
}
