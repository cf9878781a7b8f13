<?php

declare(strict_types=1);

use App\Http\Accounts\AccountController;
use App\Http\Accounts\FirstRunController;
use App\Http\Accounts\InvitationController;
use App\Http\Accounts\SecondFactorController;
use App\Http\Accounts\SessionController;
use App\Http\Assignments\AssignmentController;
use App\Http\Assignments\LeftOutController;
use App\Http\Assignments\MaterialController;
use App\Http\Briefs\BriefController;
use App\Http\Briefs\BriefDraftController;
use App\Http\Courses\CourseController;
use App\Http\Courses\CourseLinkController;
use App\Http\Courses\ExtensionController;
use App\Http\Courses\PeopleController;
use App\Http\Courses\RosterController;
use App\Http\Courses\ShelfController;
use App\Http\Courses\SpaceController;
use App\Http\Courses\StudentLinkController;
use App\Http\Desk\AttemptController;
use App\Http\Desk\FindingController;
use App\Http\Desk\HandInController;
use App\Http\Desk\MarkController;
use App\Http\Desk\MendedCopyController;
use App\Http\Desk\NoteController;
use App\Http\Desk\ReadingController;
use App\Http\Desk\VerdictController;
use App\Http\Grades\GradebookController;
use App\Http\Grades\TermController;
use App\Http\Intake\ArrivalController;
use App\Http\Marking\AlikeController;
use App\Http\Marking\ClassSheetController;
use App\Http\Marking\JudgingController;
use App\Http\Marking\ReasonController;
use App\Http\Marking\SlipController;
use App\Http\Marking\StockRemarkController;
use App\Http\Middleware\DemandSecondFactor;
use App\Http\Middleware\TellOtherDesks;
use App\Http\Middleware\WriteDown;
use App\Http\Operations\OutboxController;
use App\Http\Records\RecordsController;
use App\Http\Replies\LessonController;
use App\Http\Replies\ReplyController;
use App\Http\Search\SearchController;
use App\Http\Sites\GivenSiteController;
use App\Http\Sites\LooksController;
use App\Http\Sites\SeenPageController;
use App\Http\Sites\SourceController;
use App\Http\Sites\SurveyController;
use App\Http\Students\MyPageController;
use App\Http\Students\MyTryController;
use App\Http\Students\MyUploadController;
use Illuminate\Session\Middleware\AuthenticateSession;
use Illuminate\Support\Facades\Route;

Route::get('first-run', [FirstRunController::class, 'show']);
Route::post('first-run', [FirstRunController::class, 'store'])->middleware('throttle:first-run');
Route::post('log-in', [SessionController::class, 'store'])->middleware('throttle:log-in');
Route::post('password/forgotten', [AccountController::class, 'forgotten'])->middleware('throttle:letters');
Route::post('password/reset', [AccountController::class, 'reset'])->middleware('throttle:log-in');
Route::get('invitations/{token}', [InvitationController::class, 'show'])->middleware('throttle:invitation');
Route::post('invitations/{token}', [InvitationController::class, 'accept'])->middleware('throttle:invitation');
Route::get('join/{token}', [CourseLinkController::class, 'door'])->middleware('throttle:join');
Route::post('join/{token}', [CourseLinkController::class, 'join'])->middleware('throttle:join');
// A student's own page, by a private link: all that is asked for is looked up from it.
Route::middleware('throttle:student')->prefix('my/{token}')->group(function (): void {
    Route::get('', [MyPageController::class, 'show']);
    Route::get('assignments/{assignment}', [MyPageController::class, 'assignment'])->whereUuid('assignment');
    Route::get('assignments/{assignment}/starter.zip', [MyPageController::class, 'starter'])->whereUuid('assignment');
    Route::post('assignments/{assignment}/uploads', [MyUploadController::class, 'begin'])->whereUuid('assignment');
    Route::post('assignments/{assignment}/address', [MyUploadController::class, 'address'])->whereUuid('assignment');
    Route::put('uploads/{upload}', [MyUploadController::class, 'add'])->whereUuid('upload');
    Route::post('uploads/{upload}/try', [MyTryController::class, 'store'])->whereUuid('upload');
    Route::get('tries/{try}', [MyTryController::class, 'show'])->whereUuid('try');
    Route::delete('tries/{try}', [MyTryController::class, 'destroy'])->whereUuid('try');
    Route::post('uploads/{upload}/hand-in', [MyUploadController::class, 'handIn'])->whereUuid('upload');
    Route::get('hand-ins/{handIn}/check', [MyPageController::class, 'check'])->whereUuid('handIn');
    Route::get('hand-ins/{handIn}/reply', [MyPageController::class, 'reply'])->whereUuid('handIn');
});
// For editors, which log in nowhere. There is nothing of anybody in it.
Route::get('brief.schema.json', [BriefController::class, 'schema']);

// Who may is asked before anything of what was sent is looked at.
Route::middleware([
    'auth', AuthenticateSession::class, DemandSecondFactor::class, WriteDown::class,
])->group(function (): void {
    Route::get('me', [SessionController::class, 'show']);
    Route::put('me', [AccountController::class, 'update'])->middleware('throttle:account');
    Route::middleware('throttle:account')->group(function (): void {
        Route::post('me/second-factor', [SecondFactorController::class, 'store']);
        Route::put('me/second-factor', [SecondFactorController::class, 'update']);
        Route::delete('me/second-factor', [SecondFactorController::class, 'destroy']);
    });
    Route::post('log-out', [SessionController::class, 'destroy']);
    Route::get('outbox', [OutboxController::class, 'index']);
    Route::get('search', [SearchController::class, 'show']);
    Route::get('rules/{rule}', [SearchController::class, 'rule'])->where('rule', '[a-z]+/[a-z-]+');
    Route::get('shelf', [ShelfController::class, 'show']);
    Route::post('courses', [CourseController::class, 'store'])->can('open-courses');
    Route::get('courses/{course}', [CourseController::class, 'show'])->can('view', 'course');
    Route::get('courses/{course}/space', [SpaceController::class, 'show'])->can('view', 'course');
    Route::put('courses/{course}', [CourseController::class, 'update'])->can('direct', 'course');
    Route::delete('courses/{course}', [CourseController::class, 'destroy'])->can('direct', 'course');
    Route::put('courses/{course}/put-away', [CourseController::class, 'putAway'])->can('direct', 'course');
    Route::delete('courses/{course}/put-away', [CourseController::class, 'bringBack'])->can('direct', 'course');
    Route::put('courses/{course}/order', [CourseController::class, 'order'])->can('direct', 'course');
    Route::post('courses/{course}/carry-over', [CourseController::class, 'carryOver'])->can('direct', 'course');
    Route::get('courses/{course}/deeds', [CourseController::class, 'deeds'])->can('direct', 'course');
    Route::get('courses/{course}/people', [PeopleController::class, 'index'])->can('direct', 'course');
    Route::post(
        'courses/{course}/invitations',
        [PeopleController::class, 'invite'],
    )->middleware('throttle:letters')->can('direct', 'course');
    Route::delete('invitations/{invitation}', [PeopleController::class, 'takeBack'])->can('direct', 'invitation');
    Route::put('courses/{course}/people/{person}', [PeopleController::class, 'update'])->can('direct', 'course');
    Route::delete('courses/{course}/people/{person}', [PeopleController::class, 'destroy'])->can('direct', 'course');
    Route::post('courses/{course}/roster/preview', [RosterController::class, 'preview'])->can('direct', 'course');
    Route::put('courses/{course}/roster', [RosterController::class, 'update'])->can('direct', 'course');
    Route::get('courses/{course}/roster.csv', [RosterController::class, 'csv'])->can('view', 'course');
    Route::get('courses/{course}/link', [CourseLinkController::class, 'show'])->can('direct', 'course');
    Route::put('courses/{course}/link', [CourseLinkController::class, 'store'])->can('direct', 'course');
    Route::delete('courses/{course}/link', [CourseLinkController::class, 'destroy'])->can('direct', 'course');
    Route::post('courses/{course}/student-links', [StudentLinkController::class, 'index'])->can('direct', 'course');
    Route::post(
        'courses/{course}/student-links/letters',
        [StudentLinkController::class, 'send'],
    )->middleware('throttle:letters')->can('direct', 'course');
    Route::delete('students/{student}/link', [StudentLinkController::class, 'destroy'])->can('direct', 'student');
    Route::post('courses/{course}/students', [RosterController::class, 'store'])->can('direct', 'course');
    Route::put('students/{student}', [RosterController::class, 'change'])->can('direct', 'student');
    Route::get('courses/{course}/gradebook', [GradebookController::class, 'show'])->can('view', 'course');
    Route::put('courses/{course}/gradebook', [GradebookController::class, 'update'])->can('direct', 'course');
    Route::get(
        'courses/{course}/gradebook.{ending}',
        [GradebookController::class, 'file'],
    )->whereIn('ending', ['csv', 'xlsx', 'ods'])->can('view', 'course');
    Route::post('courses/{course}/marks/preview', [GradebookController::class, 'preview'])->can('direct', 'course');
    Route::post('courses/{course}/marks', [GradebookController::class, 'take'])->can('direct', 'course');
    Route::delete(
        'courses/{course}/marks/{work}',
        [GradebookController::class, 'drop'],
    )->whereUuid('work')->can('direct', 'course');
    Route::get('courses/{course}/term', [TermController::class, 'show'])->can('view', 'course');
    Route::get('students/{student}/term', [TermController::class, 'student'])->can('view', 'student');
    Route::get('courses/{course}/records', [RecordsController::class, 'show'])->can('direct', 'course');
    Route::post('courses/{course}/records', [RecordsController::class, 'write'])->can('direct', 'course');
    Route::get('courses/{course}/records.zip', [RecordsController::class, 'file'])->can('direct', 'course');
    Route::get('students/{student}/records', [RecordsController::class, 'showStudent'])->can('direct', 'student');
    Route::post('students/{student}/records', [RecordsController::class, 'writeStudent'])->can('direct', 'student');
    Route::get('students/{student}/records.zip', [RecordsController::class, 'studentFile'])->can('direct', 'student');
    Route::delete('students/{student}', [RecordsController::class, 'forget'])->can('direct', 'student');
    Route::post('records', [RecordsController::class, 'read'])->can('open-courses')->middleware('throttle:letters');
    Route::get('old-courses', [RecordsController::class, 'old']);
    Route::get('students/{student}/grades', [GradebookController::class, 'student'])->can('view', 'student');
    Route::put(
        'students/{student}/grades/{work}',
        [GradebookController::class, 'give'],
    )->whereUuid('work')->can('direct', 'student');
    Route::delete(
        'students/{student}/grades/{work}',
        [GradebookController::class, 'takeBack'],
    )->whereUuid('work')->can('direct', 'student');
    Route::get('courses/{course}/stock-remarks', [StockRemarkController::class, 'index'])->can('mark', 'course');
    Route::get(
        'courses/{course}/stock-remarks.{form}',
        [StockRemarkController::class, 'file'],
    )->whereIn('form', ['csv', 'yaml'])->can('mark', 'course');
    Route::post('courses/{course}/stock-remarks', [StockRemarkController::class, 'store'])->can('mark', 'course');
    Route::post('courses/{course}/stock-remarks/file', [StockRemarkController::class, 'take'])->can('mark', 'course');
    Route::put(
        'courses/{course}/stock-remarks/{stockRemark}',
        [StockRemarkController::class, 'update'],
    )->can('mark', 'course');
    Route::delete(
        'courses/{course}/stock-remarks/{stockRemark}',
        [StockRemarkController::class, 'destroy'],
    )->can('mark', 'course');
    Route::post(
        'courses/{course}/stock-remarks/{stockRemark}/uses',
        [StockRemarkController::class, 'use'],
    )->can('mark', 'course');
    Route::post('courses/{course}/assignments', [AssignmentController::class, 'store'])->can('direct', 'course');
    Route::get('assignments/{assignment}', [AssignmentController::class, 'show'])->can('view', 'assignment');
    Route::put('assignments/{assignment}', [AssignmentController::class, 'update'])->can('direct', 'assignment');
    Route::put('assignments/{assignment}/closed', [AssignmentController::class, 'close'])->can('direct', 'assignment');
    Route::delete(
        'assignments/{assignment}/closed',
        [AssignmentController::class, 'open'],
    )->can('direct', 'assignment');
    Route::put(
        'assignments/{assignment}/extensions',
        [ExtensionController::class, 'store'],
    )->can('direct', 'assignment');
    Route::delete('extensions/{extension}', [ExtensionController::class, 'destroy'])->can('direct', 'extension');
    Route::put(
        'assignments/{assignment}/left-out/{requirement}',
        [LeftOutController::class, 'store'],
    )->can('direct', 'assignment');
    Route::delete(
        'assignments/{assignment}/left-out/{requirement}',
        [LeftOutController::class, 'destroy'],
    )->can('direct', 'assignment');
    Route::get(
        'assignments/{assignment}/judging/{requirement}',
        [JudgingController::class, 'show'],
    )->can('view', 'assignment');
    Route::post('assignments/{assignment}/reasons', [ReasonController::class, 'ofClass'])->can('mark', 'assignment');
    Route::post('hand-ins/{handIn}/reasons', [ReasonController::class, 'ofHandIn'])->can('mark', 'handIn');
    Route::post('assignments/{assignment}/copy', [AssignmentController::class, 'copy'])->can('direct', 'assignment');
    Route::delete('assignments/{assignment}', [AssignmentController::class, 'destroy'])->can('direct', 'assignment');
    Route::get('assignments/{assignment}/materials', [MaterialController::class, 'index'])->can('view', 'assignment');
    Route::post(
        'assignments/{assignment}/materials/{role}',
        [MaterialController::class, 'store'],
    )->can('direct', 'assignment');
    Route::delete(
        'assignments/{assignment}/materials/{role}',
        [MaterialController::class, 'destroy'],
    )->can('direct', 'assignment');
    Route::get(
        'assignments/{assignment}/sites/{site}',
        [GivenSiteController::class, 'show'],
    )->can('view', 'assignment');
    Route::get(
        'assignments/{assignment}/sites/{site}/seen',
        [GivenSiteController::class, 'seen'],
    )->can('view', 'assignment');
    Route::get(
        'assignments/{assignment}/sites/{site}/survey',
        [GivenSiteController::class, 'survey'],
    )->can('view', 'assignment');
    Route::get(
        'assignments/{assignment}/sites/{site}/source/{path}',
        [GivenSiteController::class, 'source'],
    )->where('path', '.+')->can('view', 'assignment');
    Route::get(
        'assignments/{assignment}/brief/proposal',
        [MaterialController::class, 'propose'],
    )->can('direct', 'assignment');
    Route::get('brief-kinds', [BriefDraftController::class, 'kinds']);
    Route::get(
        'assignments/{assignment}/brief/draft',
        [BriefDraftController::class, 'show'],
    )->can('direct', 'assignment');
    Route::put(
        'assignments/{assignment}/brief/draft',
        [BriefDraftController::class, 'update'],
    )->can('direct', 'assignment');
    Route::delete(
        'assignments/{assignment}/brief/draft',
        [BriefDraftController::class, 'destroy'],
    )->can('direct', 'assignment');
    Route::get(
        'assignments/{assignment}/brief/sites',
        [BriefDraftController::class, 'sites'],
    )->can('direct', 'assignment');
    Route::post(
        'assignments/{assignment}/brief/reading',
        [BriefDraftController::class, 'read'],
    )->can('direct', 'assignment');
    Route::put('assignments/{assignment}/brief', [BriefController::class, 'update'])->can('direct', 'assignment');
    Route::post('assignments/{assignment}/brief/trial', [BriefController::class, 'try'])->can('direct', 'assignment');
    Route::get(
        'assignments/{assignment}/class-sheet',
        [ClassSheetController::class, 'show'],
    )->can('view', 'assignment');
    Route::get('assignments/{assignment}/slips', [SlipController::class, 'show'])->can('view', 'assignment');
    Route::post('assignments/{assignment}/slips', [SlipController::class, 'store'])->can('mark', 'assignment');
    Route::get('assignments/{assignment}/lesson', [LessonController::class, 'show'])->can('view', 'assignment');
    Route::get(
        'assignments/{assignment}/lesson.{ending}',
        [LessonController::class, 'file'],
    )->whereIn('ending', ['md', 'html', 'pdf'])->can('view', 'assignment');
    Route::get('assignments/{assignment}/arrivals', [ArrivalController::class, 'index'])->can('view', 'assignment');
    Route::post('assignments/{assignment}/arrivals', [ArrivalController::class, 'store'])->can('mark', 'assignment');
    Route::post(
        'assignments/{assignment}/addresses',
        [ArrivalController::class, 'addresses'],
    )->can('mark', 'assignment');
    Route::post('assignments/{assignment}/uploads', [ArrivalController::class, 'begin'])->can('mark', 'assignment');
    Route::put('uploads/{upload}', [ArrivalController::class, 'add'])->can('mark', 'upload');
    Route::post('uploads/{upload}/arrival', [ArrivalController::class, 'drop'])->can('mark', 'upload');
    Route::delete(
        'assignments/{assignment}/drops/{drop}',
        [ArrivalController::class, 'takeBack'],
    )->whereUuid('drop')->can('mark', 'assignment');
    Route::patch('arrivals/{arrival}', [ArrivalController::class, 'update'])->can('mark', 'arrival');
    Route::get('hand-ins/{handIn}', [HandInController::class, 'show'])->can('view', 'handIn');
    Route::put('hand-ins/{handIn}/chosen', [HandInController::class, 'choose'])->can('mark', 'handIn');
    Route::post('hand-ins/{handIn}/check', [HandInController::class, 'check'])->can('mark', 'handIn');
    Route::delete('hand-ins/{handIn}/chosen', [HandInController::class, 'unchoose'])->can('mark', 'handIn');
    Route::get('hand-ins/{handIn}/findings', [FindingController::class, 'index'])->can('view', 'handIn');
    Route::get('hand-ins/{handIn}/survey', [SurveyController::class, 'show'])->can('view', 'handIn');
    Route::get(
        'hand-ins/{handIn}/source/{path}',
        [SourceController::class, 'show'],
    )->where('path', '.+')->can('view', 'handIn');
    Route::prefix('hand-ins/{handIn}')->where(['path' => '.+', 'number' => '[0-9]{1,6}'])->group(function (): void {
        Route::get('mended/{path}', [MendedCopyController::class, 'show'])->can('view', 'handIn');
        Route::get('mended-steps/{number}/{path}', [MendedCopyController::class, 'step'])->can('view', 'handIn');
        Route::post('mended-check/{path}', [MendedCopyController::class, 'check'])->can('view', 'handIn');
    });
    Route::get('hand-ins/{handIn}/elements', [LooksController::class, 'place'])->can('view', 'handIn');
    Route::get('hand-ins/{handIn}/looks', [LooksController::class, 'show'])->can('view', 'handIn');
    Route::get('hand-ins/{handIn}/seen', [SeenPageController::class, 'address'])->can('view', 'handIn');
    Route::post('notes/preview', [NoteController::class, 'preview']);
    Route::get('hand-ins/{handIn}/alike/{fingerprint}', [AlikeController::class, 'show'])->can('view', 'handIn');
    Route::put('hand-ins/{handIn}/alike/{fingerprint}', [AlikeController::class, 'update'])->can('mark', 'handIn');
    // Whoever decided takes it back, and nobody else can.
    Route::delete('decided-alike/{batch}', [AlikeController::class, 'destroy'])->whereUuid('batch');
    Route::put('hand-ins/{handIn}/here', [ReadingController::class, 'here'])->can('view', 'handIn');
    Route::get('hand-ins/{handIn}/attempts', [AttemptController::class, 'show'])->can('view', 'handIn');
    Route::get('hand-ins/{handIn}/reply', [ReplyController::class, 'show'])->can('view', 'handIn');
    Route::get('hand-ins/{handIn}/reply.md', [ReplyController::class, 'markdown'])->can('view', 'handIn');
    Route::get('hand-ins/{handIn}/reply.html', [ReplyController::class, 'html'])->can('view', 'handIn');
    Route::get('hand-ins/{handIn}/reply.pdf', [ReplyController::class, 'pdf'])->can('view', 'handIn');
    Route::get('assignments/{assignment}/replies', [ReplyController::class, 'ready'])->can('view', 'assignment');
    Route::post('assignments/{assignment}/replies', [ReplyController::class, 'releaseAll'])->can('mark', 'assignment');
    Route::get('hand-ins/{handIn}/words', [ReplyController::class, 'words'])->can('view', 'handIn');
    // What the other desks on which the hand-in lies open are to see.
    Route::middleware(TellOtherDesks::class)->group(function (): void {
        Route::put(
            'hand-ins/{handIn}/verdicts/{fingerprint}',
            [VerdictController::class, 'update'],
        )->can('mark', 'handIn');
        Route::post('hand-ins/{handIn}/notes', [NoteController::class, 'store'])->can('mark', 'handIn');
        Route::put('notes/{note}', [NoteController::class, 'update'])->can('mark', 'note');
        Route::delete('notes/{note}', [NoteController::class, 'destroy'])->can('mark', 'note');
        Route::put('hand-ins/{handIn}/marks/{requirement}', [MarkController::class, 'update'])->can('mark', 'handIn');
        Route::delete(
            'hand-ins/{handIn}/marks/{requirement}',
            [MarkController::class, 'destroy'],
        )->can('mark', 'handIn');
        Route::put('hand-ins/{handIn}/put-by', [ReadingController::class, 'putBy'])->can('mark', 'handIn');
        Route::delete('hand-ins/{handIn}/put-by', [ReadingController::class, 'takeUp'])->can('mark', 'handIn');
        Route::put(
            'hand-ins/{handIn}/mended/{path}',
            [MendedCopyController::class, 'update'],
        )->where('path', '.+')->can('mark', 'handIn');
        Route::patch(
            'hand-ins/{handIn}/mended/{path}',
            [MendedCopyController::class, 'use'],
        )->where('path', '.+')->can('mark', 'handIn');
        Route::post('hand-ins/{handIn}/replies', [ReplyController::class, 'store'])->can('mark', 'handIn');
    });
});
