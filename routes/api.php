<?php

declare(strict_types=1);

use App\Http\Controllers\ArrivalController;
use App\Http\Controllers\AssignmentController;
use App\Http\Controllers\BriefController;
use App\Http\Controllers\CourseController;
use App\Http\Controllers\HandInController;
use App\Http\Controllers\MarkController;
use App\Http\Controllers\NoteController;
use App\Http\Controllers\ReplyController;
use App\Http\Controllers\SeenPageController;
use App\Http\Controllers\SessionController;
use App\Http\Controllers\ShelfController;
use App\Http\Controllers\SourceController;
use App\Http\Controllers\SurveyController;
use App\Http\Controllers\VerdictController;
use Illuminate\Support\Facades\Route;

Route::post('log-in', [SessionController::class, 'store'])->middleware('throttle:log-in');

Route::middleware('auth')->group(function (): void {
    Route::get('me', [SessionController::class, 'show']);
    Route::post('log-out', [SessionController::class, 'destroy']);
    Route::get('shelf', [ShelfController::class, 'show']);
    Route::get('courses/{course}', [CourseController::class, 'show']);
    Route::get('assignments/{assignment}', [AssignmentController::class, 'show']);
    Route::put('assignments/{assignment}/brief', [BriefController::class, 'update']);
    Route::get('assignments/{assignment}/arrivals', [ArrivalController::class, 'index']);
    Route::post('assignments/{assignment}/arrivals', [ArrivalController::class, 'store']);
    Route::patch('arrivals/{arrival}', [ArrivalController::class, 'update']);
    Route::get('hand-ins/{handIn}', [HandInController::class, 'show']);
    Route::get('hand-ins/{handIn}/survey', [SurveyController::class, 'show']);
    Route::get('hand-ins/{handIn}/source/{path}', [SourceController::class, 'show'])->where('path', '.+');
    Route::get('hand-ins/{handIn}/seen', [SeenPageController::class, 'address']);
    Route::put('hand-ins/{handIn}/verdicts/{fingerprint}', [VerdictController::class, 'update']);
    Route::post('hand-ins/{handIn}/notes', [NoteController::class, 'store']);
    Route::put('notes/{note}', [NoteController::class, 'update']);
    Route::delete('notes/{note}', [NoteController::class, 'destroy']);
    Route::put('hand-ins/{handIn}/marks/{requirement}', [MarkController::class, 'update']);
    Route::delete('hand-ins/{handIn}/marks/{requirement}', [MarkController::class, 'destroy']);
    Route::get('hand-ins/{handIn}/reply', [ReplyController::class, 'show']);
    Route::get('hand-ins/{handIn}/reply.md', [ReplyController::class, 'markdown']);
    Route::post('hand-ins/{handIn}/replies', [ReplyController::class, 'store']);
});
