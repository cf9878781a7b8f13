<?php

declare(strict_types=1);

namespace App\Http\Shared;

use App\Intake\UploadParts;
use Illuminate\Foundation\Http\FormRequest;

/** A part of a file: its bytes are the body, and where it begins is in the address. */
final class PartRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['offset' => ['required', 'integer', 'min:0', 'max:10000000000']];
    }

    public function offset(): int
    {
        return $this->integer('offset');
    }

    public function part(): string
    {
        $part = (string) $this->getContent();
        abort_if(strlen($part) > UploadParts::LONGEST, 413, 'That part is too long.');

        return $part;
    }
}
