<?php

declare(strict_types=1);

namespace App\Http\Sites;

use App\Http\Shared\Controller;
use App\Models\HandIn;
use App\Sites\MaterialStore;
use App\Sites\MissingPage;
use App\Sites\ScriptedPage;
use App\Sites\SeenToken;
use App\Sites\SheetInPlace;
use App\Sites\SiteFiles;
use App\Sites\SitePlace;
use App\Storage\BlobStore;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use InkedMargin\Core\Markup\FileEncoding;
use Symfony\Component\Mime\MimeTypes;

/**
 * Shows a student's pages as a browser sees them: from another host than the application's, in a sandbox without an
 * origin, without network, and with the student's scripts off unless the instructor turned them on for this view.
 */
final class SeenPageController extends Controller
{
    /**
     * Tells the desk which page the frame has turned to, and, while the desk asks for it, which element is pointed at.
     * It is the only script that runs while scripts are off.
     */
    private const TELL = <<<'JS'
        parent.postMessage({page: decodeURIComponent(location.pathname.split('/').slice(3).join('/'))}, '*')
        {
            let pointing = false, shown = null
            const show = element => {
                shown?.style.removeProperty('outline')
                shown = element
                shown?.style.setProperty('outline', '2px solid #3b3a8f', 'important')
            }
            const find = way => way === '' ? document.documentElement
                : way.split('.').reduce((around, place) => around?.children[place], document.documentElement)
            const wayTo = element => element.parentElement === null ? []
                : [...wayTo(element.parentElement), [...element.parentElement.children].indexOf(element)]
            addEventListener('message', ({source, data}) => {
                if (source !== parent) return
                pointing = data?.pointing === true
                show(typeof data?.at === 'string' ? find(data.at) : null)
                shown?.scrollIntoView({block: 'nearest'})
            })
            addEventListener('click', event => {
                if (!pointing || !(event.target instanceof Element)) return
                event.preventDefault()
                event.stopPropagation()
                show(event.target)
                parent.postMessage({at: wayTo(event.target).join('.')}, '*')
            }, true)
        }
        JS;

    public function address(SeenRequest $request, HandIn $handIn): SeenPage
    {
        return SeenPage::of(SitePlace::handIn($handIn), $request);
    }

    public function show(
        Request $request,
        SiteFiles $sites,
        MaterialStore $materials,
        string $token,
        string $path = '',
    ): Response {
        abort_unless($request->getSchemeAndHttpHost() === config()->string('margin.seen_url'), 404);
        $seen = SeenToken::open($token);
        if ($seen === null) {
            return $this->page('<p>This view has run out. Turn to the page again.</p>', 403);
        }
        // In a tab of its own, nothing around a stranger's page would keep it from leading elsewhere.
        if ($request->headers->get('Sec-Fetch-Dest') === 'document') {
            return $this->page('<p>A student’s page is shown on the desk only.</p>', 403);
        }
        $home = ltrim("$path/index.html", '/');
        $file = $sites->first($seen->place, [$path, $home]);
        if ($file === null) {
            return $this->ours(MissingPage::html($path, $sites->paths($seen->place)));
        }
        $isInside = str_ends_with((string) parse_url($request->getRequestUri(), PHP_URL_PATH), '/');
        if ($file->path !== $path && ! $isInside) {
            // Its links count from inside the folder.
            return $this->guarded(response('', 302, ['Location' => $request->url().'/']));
        }
        $extension = strtolower(pathinfo($file->path, PATHINFO_EXTENSION));
        if (in_array($extension, ['html', 'htm'], true)) {
            return $this->studentsPage(
                FileEncoding::of($file->bytes)->decode($file->bytes),
                $token,
                $seen,
                $sites,
                $materials,
            );
        }

        return $this->file($file->bytes, hash('sha256', $file->bytes), $extension);
    }

    /** A stylesheet that the assignment gives, for a page that is shown in it. */
    public function given(
        Request $request,
        BlobStore $blobs,
        MaterialStore $materials,
        string $token,
        string $path,
    ): Response {
        abort_unless($request->getSchemeAndHttpHost() === config()->string('margin.seen_url'), 404);
        $seen = SeenToken::open($token);
        $hash = $seen === null ? null : $materials->givenSheet($seen->place->assignmentId, $path);
        abort_if($hash === null, 404);

        return $this->file($blobs->get($hash), $hash, strtolower(pathinfo($path, PATHINFO_EXTENSION)));
    }

    /** No script runs in it, as a drawing in a frame has all that was taken away from the page. */
    private function file(string $bytes, string $hash, string $extension): Response
    {
        $type = MimeTypes::getDefault()->getMimeTypes($extension)[0] ?? 'application/octet-stream';
        $response = $this->guarded(response($bytes, 200, ['Content-Type' => $type]));
        // Bytes under their hash never change: turning back to a page does not fetch its pictures again.
        $response->headers->set('Cache-Control', 'private, max-age=3600, immutable');
        $response->headers->set('ETag', "\"$hash\"");

        return $response;
    }

    /** @param  string  $html  as UTF-8, whatever the page says it is in: the header counts before the page */
    private function studentsPage(
        string $html,
        string $token,
        SeenToken $seen,
        SiteFiles $sites,
        MaterialStore $materials,
    ): Response {
        $scripted = $seen->scripts ? ScriptedPage::of($html) : null;
        $html = $scripted ?? $html;
        if ($seen->styles === SeenToken::OWN) {
            return $this->page($html, 200, $scripted !== null);
        }
        // The page keeps its own styles and the browser ignores them; the files stay as they are.
        $nonce = Str::random(24);
        $sheet = SheetInPlace::of($seen, $token, $sites, $materials);
        $styles = $sheet === null ? "'none'" : implode(' ', ["'nonce-$nonce'", ...$sheet->imports]);

        return $this->page($html.$sheet?->link($nonce), 200, $scripted !== null, $styles, $nonce);
    }

    /** A link of a page that is shown led out of its site. */
    public function outside(string $path = ''): Response
    {
        return $this->ours(MissingPage::outside($path));
    }

    /** A page of ours in the frame: the desk does not turn to it, and there is a way back. */
    private function ours(string $html): Response
    {
        $nonce = Str::random(24);
        $back = "document.querySelector('button').addEventListener('click', () => history.back())";

        return $this->guarded(
            response(
                "$html<script nonce=\"$nonce\">$back</script>",
                404,
                ['Content-Type' => 'text/html; charset=utf-8'],
            ),
            nonce: $nonce,
        );
    }

    private function page(
        string $html,
        int $status,
        bool $scripts = false,
        ?string $styles = null,
        ?string $nonce = null,
    ): Response {
        $nonce ??= Str::random(24);
        $response = response(
            "$html<script nonce=\"$nonce\">".self::TELL.'</script>',
            $status,
            ['Content-Type' => 'text/html; charset=utf-8'],
        );

        return $this->guarded($response, $scripts, $nonce, $styles);
    }

    /**
     * @param  bool  $scripts  whether the student's may run
     * @param  string|null  $nonce  of the one script, and the one sheet, that are ours
     * @param  string|null  $styles  the sources of styles; null for the student's own
     */
    private function guarded(
        Response $response,
        bool $scripts = false,
        ?string $nonce = null,
        ?string $styles = null,
    ): Response {
        $own = config()->string('margin.seen_url');
        $script = $scripts ? "'unsafe-inline' $own" : ($nonce === null ? "'none'" : "'nonce-$nonce'");
        $styles ??= "'unsafe-inline' $own";
        $policy = [
            'sandbox allow-scripts', "default-src 'none'", "script-src $script",
            "style-src $styles", "img-src data: $own", "font-src data: $own", "media-src $own",
            "frame-src $own", "form-action 'none'", "base-uri $own", 'frame-ancestors '.config()->string('app.url'),
            ...$scripts ? ScriptedPage::POLICY : [],
        ];
        $response->headers->add([
            'Content-Security-Policy' => implode('; ', $policy),
            'X-Content-Type-Options' => 'nosniff',
            'Referrer-Policy' => 'no-referrer',
            'Cross-Origin-Resource-Policy' => 'cross-origin',
            'Cache-Control' => 'private, no-store',
        ]);

        return $response;
    }
}
