<?php

declare(strict_types=1);

namespace App\Grades;

use App\Tables\RosterText;
use Illuminate\Http\UploadedFile;
use InkedMargin\Core\Report\Csv;
use InvalidArgumentException;
use PhpOffice\PhpSpreadsheet\Exception as SheetError;
use PhpOffice\PhpSpreadsheet\IOFactory;
use ZipArchive;

/** Marks from elsewhere, as text: a CSV file as it is, the first sheet of an office program's file as CSV. */
final readonly class GradeFile
{
    private const MAX_BYTES_UNPACKED = 60_000_000;

    /** @throws InvalidArgumentException with what is wrong with it */
    public static function text(UploadedFile $file): string
    {
        $bytes = (string) file_get_contents($file->getPathname());

        return str_starts_with($bytes, 'PK') ? self::sheet($file->getPathname()) : RosterText::decode($bytes);
    }

    private static function sheet(string $path): string
    {
        if (self::unpacked($path) > self::MAX_BYTES_UNPACKED) {
            throw new InvalidArgumentException('The sheet is too large. Save the columns that are wanted as CSV.');
        }
        try {
            $reader = IOFactory::createReaderForFile($path, [IOFactory::READER_XLSX, IOFactory::READER_ODS]);
            $sheet = $reader->setReadDataOnly(true)->load($path)->getSheet(0);
        } catch (SheetError) {
            throw new InvalidArgumentException('This is no sheet that can be read: XLSX, OpenDocument or CSV are.');
        }
        $rows = array_map(
            fn (array $row) => array_map(
                fn (mixed $cell) => is_scalar($cell) ? (string) $cell : '',
                array_values($row),
            ),
            array_values($sheet->toArray(formatData: false)),
        );

        return Csv::of($rows);
    }

    private static function unpacked(string $path): int
    {
        $zip = new ZipArchive;
        if ($zip->open($path, ZipArchive::RDONLY) !== true) {
            throw new InvalidArgumentException('The file did not arrive whole, or is no sheet.');
        }
        $bytes = 0;
        for ($at = 0; $at < $zip->numFiles; $at++) {
            $bytes += $zip->statIndex($at)['size'] ?? 0;
        }
        $zip->close();

        return $bytes;
    }
}
