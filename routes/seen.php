<?php

declare(strict_types=1);

use App\Http\Sites\SeenPageController;
use Illuminate\Support\Facades\Route;

// Outside the session: these pages are strangers' work, and are asked for without cookies from another host.
Route::get('seen/{token}/{path?}', [SeenPageController::class, 'show'])->where('path', '.*');
Route::get('given/{token}/{path}', [SeenPageController::class, 'given'])->where('path', '.+');
// A link of a page that is shown may lead out of its site.
$host = (string) parse_url(config()->string('margin.seen_url'), PHP_URL_HOST);
if ($host !== parse_url(config()->string('app.url'), PHP_URL_HOST)) {
    Route::domain($host)->get('/{path?}', [SeenPageController::class, 'outside'])->where('path', '(?!seen/|given/).*');
}
