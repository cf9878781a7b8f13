<?php

declare(strict_types=1);

namespace App\Http\Marking;

use App\Feedback\StockFile;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Validation\ValidationException;

final class StockFileRequest extends FormRequest
{
    private const MOST = 2_000;

    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return ['text' => ['required', 'string', 'max:1000000'], 'shared' => ['required', 'boolean']];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return ['text.*' => 'There is nothing in that file that could be read, or more than a million characters. '
            .'Nothing was changed.'];
    }

    /**
     * @return list<array{body: string, merit: bool}>
     *
     * @throws ValidationException where it holds none, too many, or one that is too long
     */
    public function remarks(): array
    {
        $read = StockFile::read($this->string('text')->toString());
        $long = array_key_first(
            array_filter($read, fn (array $one) => mb_strlen($one['body']) > StockRemarkRequest::LONGEST),
        );
        $problem = match (true) {
            $read === [] => 'No remark was found in it.',
            count($read) > self::MOST => 'There are more than 2,000 remarks in it.',
            $long !== null => 'Remark '.($long + 1).' in it has more than 5,000 characters.',
            default => null,
        };
        if ($problem !== null) {
            throw ValidationException::withMessages(['text' => "$problem Nothing was changed."]);
        }

        return $read;
    }
}
