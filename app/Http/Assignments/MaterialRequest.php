<?php

declare(strict_types=1);

namespace App\Http\Assignments;

use App\Intake\SiteUpload;
use App\Models\Assignment;
use App\Sites\Space;
use Illuminate\Foundation\Http\FormRequest;
use Illuminate\Http\UploadedFile;
use Illuminate\Validation\ValidationException;
use InkedMargin\Core\Intake\Refusal;
use InkedMargin\Core\Site\Site;

/** Files that an assignment is to give: a zip, a folder, or loose files. */
final class MaterialRequest extends FormRequest
{
    /** @return array<string, list<string>> */
    public function rules(): array
    {
        return [
            'files' => ['required', 'array', 'max:60'],
            'files.*' => ['file', 'max:'.config()->integer('margin.upload_kilobytes')],
            'paths' => ['nullable', 'array', 'max:60'],
            'paths.*' => ['nullable', 'string', 'max:500'],
        ];
    }

    /** @return array<string, string> */
    public function messages(): array
    {
        return [
            'files.required' => 'No file came with it. What was there stays.',
            'files.max' => 'At most 60 loose files at a time; zip them. What was there stays.',
            'files.*.uploaded' => 'One of the files is larger than this server takes. What was there stays.',
            'files.*.max' => 'One of the files is larger than this server takes. What was there stays.',
        ];
    }

    /** @throws ValidationException where they are no site, or the course has no space for it */
    public function site(Assignment $assignment): Site
    {
        /** @var non-empty-list<UploadedFile> $files */
        $files = $this->file('files');
        /** @var list<string|null> $paths */
        $paths = $this->input('paths') ?? [];
        try {
            $site = SiteUpload::read($files, array_map(strval(...), $paths));
            Space::admitFile($assignment->course_id, $site->size());

            return $site;
        } catch (Refusal $refusal) {
            throw ValidationException::withMessages(['files' => "{$refusal->getMessage()} What was there stays."]);
        }
    }
}
