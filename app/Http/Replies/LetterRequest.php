<?php

declare(strict_types=1);

namespace App\Http\Replies;

use Illuminate\Foundation\Http\FormRequest;

/** Whether to e-mail the student. */
final class LetterRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['letters' => ['boolean']];
    }
}
