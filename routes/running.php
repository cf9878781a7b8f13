<?php

declare(strict_types=1);

use App\Http\Operations\RunningController;
use Illuminate\Support\Facades\Route;

// Asked for by programs, without a session.
Route::get('health', [RunningController::class, 'health']);
Route::get('metrics', [RunningController::class, 'metrics']);
