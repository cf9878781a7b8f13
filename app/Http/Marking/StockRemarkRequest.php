<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Models\Course;
use App\Models\StockRemark;
use App\Models\User;
use Illuminate\Foundation\Http\FormRequest;

final class StockRemarkRequest extends FormRequest
{
    public const LONGEST = 5_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'body' => ['required', 'string', 'max:'.self::LONGEST],
            'merit' => ['required', 'boolean'],
            'shared' => ['required', 'boolean'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'body.required' => 'The remark is empty. Nothing was changed.',
            'body.max' => 'A stock remark has 5,000 characters at most. Nothing was changed.',
        ];
    }

    /** @return array<string, mixed> as it is kept */
    public function remark(Course $course, User $user): array
    {
        return [
            'body' => $this->string('body')->toString(),
            'merit' => $this->boolean('merit'),
            ...StockRemark::owner($this->boolean('shared'), $course, $user),
        ];
    }
}
