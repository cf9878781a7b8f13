<?php

declare(strict_types=1);

use App\Http\Controllers\SeenPageController;
use Illuminate\Support\Facades\Route;

// Outside the session: these pages are strangers' work, and are asked for without cookies from another host.
Route::get('seen/{token}/{path?}', [SeenPageController::class, 'show'])->where('path', '.*');
Route::get('given/{token}/{path}', [SeenPageController::class, 'given'])->where('path', '.+');
