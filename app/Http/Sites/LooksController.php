<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Models\HandInFile;
use App\Sites\SiteStore;
use InkedMargin\Core\Report\ElementLooks;
use InkedMargin\Core\Report\ElementPlace;
use InkedMargin\Core\Site\ParsedSite;
use InkedMargin\Core\Source\FileKind;

/**
 * @phpstan-import-type ElementLooksView from ElementLooks
 */
final class LooksController extends Controller
{
    /** The element of a line, or the line of an element. */
    public function place(LooksRequest $request, HandIn $handIn, SiteStore $sites): ElementPlaceView
    {
        $site = ParsedSite::of($sites->ofFiles($handIn->files()->where('path', $request->leaf())->get()));
        $page = $site->pages[$request->leaf()] ?? null;
        $place = match (true) {
            $page === null => null,
            $request->filled('line') => ElementPlace::onLine($page, $request->integer('line')),
            default => ElementPlace::at($page, $request->at()),
        };
        abort_if($place === null, 404, 'There is no such element on a page of this hand-in.');

        return new ElementPlaceView(...$place);
    }

    /**
     * What an element of a page looks like, and where that was decided.
     *
     * @return ElementLooksView
     */
    public function show(LooksRequest $request, HandIn $handIn, SiteStore $sites): array
    {
        // Other pages have no say in it.
        $files = $handIn->files->filter(fn (HandInFile $file) => $file->path === $request->leaf()
            || FileKind::ofPath($file->path) === FileKind::Stylesheet);
        $looks = ElementLooks::of(ParsedSite::of($sites->ofFiles($files)), $request->leaf(), $request->at());
        abort_if($looks === null, 404, 'There is no such element on a page of this hand-in.');

        return $looks;
    }
}
