<?php

declare(strict_types=1);

namespace App\Http\Replies;

use App\Replies\Lessons\LessonPlan;
use Illuminate\Foundation\Http\FormRequest;

/** Which slips a lesson goes through. */
final class LessonRequest extends FormRequest
{
    /** @return array<string, list<mixed>> */
    public function rules(): array
    {
        return ['kinds' => ['array', 'max:'.LessonPlan::MOST], 'kinds.*' => ['string', 'max:255']];
    }

    /** @return list<string> `rule` or `rule,variant` of each */
    public function kinds(): array
    {
        /** @var list<string> */
        return array_values($this->array('kinds'));
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['kinds.max' => 'A lesson goes through '.LessonPlan::MOST.' slips at most.'];
    }
}
