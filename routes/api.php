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
use App\Http\Middleware\LogActivity;
use App\Http\Middleware\NotifyOtherTabs;
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

Route::get('first-run', [FirstRunController::class, 'show'])->name('firstRun');
Route::post('first-run', [FirstRunController::class, 'store'])
    ->middleware('throttle:first-run')->name('makeFirstAccount');
Route::post('log-in', [SessionController::class, 'store'])->middleware('throttle:log-in')->name('logIn');
Route::post('password/forgotten', [AccountController::class, 'forgotten'])
    ->middleware('throttle:letters')->name('forgotPassword');
Route::post('password/reset', [AccountController::class, 'reset'])
    ->middleware('throttle:log-in')->name('resetPassword');
Route::get('invitations/{token}', [InvitationController::class, 'show'])
    ->middleware('throttle:invitation')->name('invitation');
Route::post('invitations/{token}', [InvitationController::class, 'accept'])
    ->middleware('throttle:invitation')->name('acceptInvitation');
Route::get('join/{token}', [CourseLinkController::class, 'door'])->middleware('throttle:join')->name('courseDoor');
Route::post('join/{token}', [CourseLinkController::class, 'join'])->middleware('throttle:join')->name('join');
// A student's own page, by a private link: all that is asked for is looked up from it.
Route::middleware('throttle:student')->prefix('my/{token}')->group(function (): void {
    Route::get('', [MyPageController::class, 'show'])->name('myPage');
    Route::get('assignments/{assignment}', [MyPageController::class, 'assignment'])
        ->whereUuid('assignment')->name('myAssignment');
    Route::get('assignments/{assignment}/starter.zip', [MyPageController::class, 'starter'])
        ->whereUuid('assignment')->name('myStarter');
    Route::post('assignments/{assignment}/uploads', [MyUploadController::class, 'begin'])
        ->whereUuid('assignment')->name('beginMyUpload');
    Route::post('assignments/{assignment}/address', [MyUploadController::class, 'address'])
        ->whereUuid('assignment')->name('handInAddress');
    Route::put('uploads/{upload}', [MyUploadController::class, 'add'])->whereUuid('upload')->name('addToMyUpload');
    Route::post('uploads/{upload}/try', [MyTryController::class, 'store'])->whereUuid('upload')->name('tryMyUpload');
    Route::get('tries/{try}', [MyTryController::class, 'show'])->whereUuid('try')->name('myTry');
    Route::delete('tries/{try}', [MyTryController::class, 'destroy'])->whereUuid('try')->name('endMyTry');
    Route::post('uploads/{upload}/hand-in', [MyUploadController::class, 'handIn'])->whereUuid('upload')->name('handIn');
    Route::get('hand-ins/{handIn}/check', [MyPageController::class, 'check'])->whereUuid('handIn')->name('myCheck');
    Route::get('hand-ins/{handIn}/reply', [MyPageController::class, 'reply'])->whereUuid('handIn')->name('myReply');
});
// For editors, which log in nowhere. There is nothing of anybody in it.
Route::get('brief.schema.json', [BriefController::class, 'schema'])->name('briefSchema');

// Who may is asked before anything of what was sent is looked at.
Route::middleware([
    'auth', AuthenticateSession::class, DemandSecondFactor::class, LogActivity::class,
])->group(function (): void {
    Route::get('me', [SessionController::class, 'show'])->name('me');
    Route::put('me', [AccountController::class, 'update'])->middleware('throttle:account')->name('changeMe');
    Route::middleware('throttle:account')->group(function (): void {
        Route::post('me/second-factor', [SecondFactorController::class, 'store'])->name('beginSecondFactor');
        Route::put('me/second-factor', [SecondFactorController::class, 'update'])->name('confirmSecondFactor');
        Route::delete('me/second-factor', [SecondFactorController::class, 'destroy'])->name('endSecondFactor');
    });
    Route::post('log-out', [SessionController::class, 'destroy'])->name('logOut');
    Route::get('outbox', [OutboxController::class, 'index'])->name('outbox');
    Route::get('search', [SearchController::class, 'show'])->name('search');
    Route::get('rules/{rule}', [SearchController::class, 'rule'])->where('rule', '[a-z]+/[a-z-]+')->name('rule');
    Route::get('shelf', [ShelfController::class, 'show'])->name('shelf');
    Route::post('courses', [CourseController::class, 'store'])->can('open-courses')->name('makeCourse');
    Route::get('courses/{course}', [CourseController::class, 'show'])->can('view', 'course')->name('course');
    Route::get('courses/{course}/space', [SpaceController::class, 'show'])->can('view', 'course')->name('space');
    Route::put('courses/{course}', [CourseController::class, 'update'])->can('manage', 'course')->name('changeCourse');
    Route::delete('courses/{course}', [CourseController::class, 'destroy'])
        ->can('manage', 'course')->name('deleteCourse');
    Route::put('courses/{course}/put-away', [CourseController::class, 'archive'])
        ->can('manage', 'course')->name('archiveCourse');
    Route::delete('courses/{course}/put-away', [CourseController::class, 'restore'])
        ->can('manage', 'course')->name('restoreCourse');
    Route::put('courses/{course}/order', [CourseController::class, 'order'])
        ->can('manage', 'course')->name('orderAssignments');
    Route::post('courses/{course}/carry-over', [CourseController::class, 'carryOver'])
        ->can('manage', 'course')->name('carryCourseOver');
    Route::get('courses/{course}/deeds', [CourseController::class, 'activities'])
        ->can('manage', 'course')->name('activities');
    Route::get('courses/{course}/people', [PeopleController::class, 'index'])->can('manage', 'course')->name('people');
    Route::post('courses/{course}/invitations', [PeopleController::class, 'invite'])
        ->middleware('throttle:letters')->can('manage', 'course')->name('invite');
    Route::delete('invitations/{invitation}', [PeopleController::class, 'takeBack'])
        ->can('manage', 'invitation')->name('takeBackInvitation');
    Route::put('courses/{course}/people/{person}', [PeopleController::class, 'update'])
        ->can('manage', 'course')->name('changeRole');
    Route::delete('courses/{course}/people/{person}', [PeopleController::class, 'destroy'])
        ->can('manage', 'course')->name('takeOff');
    Route::post('courses/{course}/roster/preview', [RosterController::class, 'preview'])
        ->can('manage', 'course')->name('previewRoster');
    Route::put('courses/{course}/roster', [RosterController::class, 'update'])
        ->can('manage', 'course')->name('keepRoster');
    Route::get('courses/{course}/roster.csv', [RosterController::class, 'csv'])
        ->can('view', 'course')->name('rosterAsCsv');
    Route::get('courses/{course}/link', [CourseLinkController::class, 'show'])
        ->can('manage', 'course')->name('courseLink');
    Route::put('courses/{course}/link', [CourseLinkController::class, 'store'])
        ->can('manage', 'course')->name('turnCourseLinkOn');
    Route::delete('courses/{course}/link', [CourseLinkController::class, 'destroy'])
        ->can('manage', 'course')->name('turnCourseLinkOff');
    Route::post('courses/{course}/student-links', [StudentLinkController::class, 'index'])
        ->can('manage', 'course')->name('studentLinks');
    Route::post('courses/{course}/student-links/letters', [StudentLinkController::class, 'send'])
        ->middleware('throttle:letters')->can('manage', 'course')->name('sendStudentLinks');
    Route::delete('students/{student}/link', [StudentLinkController::class, 'destroy'])
        ->can('manage', 'student')->name('revokeStudentLink');
    Route::post('courses/{course}/students', [RosterController::class, 'store'])
        ->can('manage', 'course')->name('addStudent');
    Route::put('students/{student}', [RosterController::class, 'change'])
        ->can('manage', 'student')->name('changeStudent');
    Route::get('courses/{course}/gradebook', [GradebookController::class, 'show'])
        ->can('view', 'course')->name('gradebook');
    Route::put('courses/{course}/gradebook', [GradebookController::class, 'update'])
        ->can('manage', 'course')->name('setGradebook');
    Route::get('courses/{course}/gradebook.{ending}', [GradebookController::class, 'file'])
        ->whereIn('ending', ['csv', 'xlsx', 'ods'])->can('view', 'course')->name('gradebookFile');
    Route::post('courses/{course}/marks/preview', [GradebookController::class, 'preview'])
        ->can('manage', 'course')->name('previewMarks');
    Route::post('courses/{course}/marks', [GradebookController::class, 'take'])
        ->can('manage', 'course')->name('takeMarks');
    Route::delete('courses/{course}/marks/{work}', [GradebookController::class, 'drop'])
        ->whereUuid('work')->can('manage', 'course')->name('dropMarks');
    Route::get('courses/{course}/term', [TermController::class, 'show'])->can('view', 'course')->name('term');
    Route::get('students/{student}/term', [TermController::class, 'student'])
        ->can('view', 'student')->name('studentTerm');
    Route::get('courses/{course}/records', [RecordsController::class, 'show'])
        ->can('manage', 'course')->name('records');
    Route::post('courses/{course}/records', [RecordsController::class, 'write'])
        ->can('manage', 'course')->name('writeRecords');
    Route::get('courses/{course}/records.zip', [RecordsController::class, 'file'])
        ->can('manage', 'course')->name('recordsFile');
    Route::get('students/{student}/records', [RecordsController::class, 'showStudent'])
        ->can('manage', 'student')->name('studentRecords');
    Route::post('students/{student}/records', [RecordsController::class, 'writeStudent'])
        ->can('manage', 'student')->name('writeStudentRecords');
    Route::get('students/{student}/records.zip', [RecordsController::class, 'studentFile'])
        ->can('manage', 'student')->name('studentRecordsFile');
    Route::delete('students/{student}', [RecordsController::class, 'forget'])
        ->can('manage', 'student')->name('forgetStudent');
    Route::post('records', [RecordsController::class, 'read'])
        ->can('open-courses')->middleware('throttle:letters')->name('readRecords');
    Route::get('old-courses', [RecordsController::class, 'old'])->name('oldCourses');
    Route::get('students/{student}/grades', [GradebookController::class, 'student'])
        ->can('view', 'student')->name('studentGrades');
    Route::put('students/{student}/grades/{work}', [GradebookController::class, 'give'])
        ->whereUuid('work')->can('manage', 'student')->name('giveGrade');
    Route::delete('students/{student}/grades/{work}', [GradebookController::class, 'takeBack'])
        ->whereUuid('work')->can('manage', 'student')->name('takeGradeBack');
    Route::get('courses/{course}/stock-remarks', [StockRemarkController::class, 'index'])
        ->can('mark', 'course')->name('stockRemarks');
    Route::get('courses/{course}/stock-remarks.{form}', [StockRemarkController::class, 'file'])
        ->whereIn('form', ['csv', 'yaml'])->can('mark', 'course')->name('stockRemarksFile');
    Route::post('courses/{course}/stock-remarks', [StockRemarkController::class, 'store'])
        ->can('mark', 'course')->name('keepStockRemark');
    Route::post('courses/{course}/stock-remarks/file', [StockRemarkController::class, 'take'])
        ->can('mark', 'course')->name('takeStockRemarks');
    Route::put('courses/{course}/stock-remarks/{stockRemark}', [StockRemarkController::class, 'update'])
        ->can('mark', 'course')->name('changeStockRemark');
    Route::delete('courses/{course}/stock-remarks/{stockRemark}', [StockRemarkController::class, 'destroy'])
        ->can('mark', 'course')->name('dropStockRemark');
    Route::post('courses/{course}/stock-remarks/{stockRemark}/uses', [StockRemarkController::class, 'use'])
        ->can('mark', 'course')->name('useStockRemark');
    Route::post('courses/{course}/assignments', [AssignmentController::class, 'store'])
        ->can('manage', 'course')->name('makeAssignment');
    Route::get('assignments/{assignment}', [AssignmentController::class, 'show'])
        ->can('view', 'assignment')->name('assignment');
    Route::put('assignments/{assignment}', [AssignmentController::class, 'update'])
        ->can('manage', 'assignment')->name('changeAssignment');
    Route::put('assignments/{assignment}/closed', [AssignmentController::class, 'close'])
        ->can('manage', 'assignment')->name('closeAssignment');
    Route::delete('assignments/{assignment}/closed', [AssignmentController::class, 'open'])
        ->can('manage', 'assignment')->name('openAssignment');
    Route::put('assignments/{assignment}/extensions', [ExtensionController::class, 'store'])
        ->can('manage', 'assignment')->name('extend');
    Route::delete('extensions/{extension}', [ExtensionController::class, 'destroy'])
        ->can('manage', 'extension')->name('removeExtension');
    Route::put('assignments/{assignment}/left-out/{requirement}', [LeftOutController::class, 'store'])
        ->can('manage', 'assignment')->name('leaveOut');
    Route::delete('assignments/{assignment}/left-out/{requirement}', [LeftOutController::class, 'destroy'])
        ->can('manage', 'assignment')->name('countAgain');
    Route::get('assignments/{assignment}/judging/{requirement}', [JudgingController::class, 'show'])
        ->can('view', 'assignment')->name('judging');
    Route::post('assignments/{assignment}/reasons', [ReasonController::class, 'ofClass'])
        ->can('mark', 'assignment')->name('decideReasonsOfClass');
    Route::post('hand-ins/{handIn}/reasons', [ReasonController::class, 'ofHandIn'])
        ->can('mark', 'handIn')->name('decideReasons');
    Route::post('assignments/{assignment}/copy', [AssignmentController::class, 'copy'])
        ->can('manage', 'assignment')->name('copyAssignment');
    Route::delete('assignments/{assignment}', [AssignmentController::class, 'destroy'])
        ->can('manage', 'assignment')->name('deleteAssignment');
    Route::get('assignments/{assignment}/materials', [MaterialController::class, 'index'])
        ->can('view', 'assignment')->name('materials');
    Route::post('assignments/{assignment}/materials/{role}', [MaterialController::class, 'store'])
        ->can('manage', 'assignment')->name('giveMaterial');
    Route::delete('assignments/{assignment}/materials/{role}', [MaterialController::class, 'destroy'])
        ->can('manage', 'assignment')->name('dropMaterial');
    Route::get('assignments/{assignment}/sites/{site}', [GivenSiteController::class, 'show'])
        ->can('view', 'assignment')->name('givenSite');
    Route::get('assignments/{assignment}/sites/{site}/seen', [GivenSiteController::class, 'seen'])
        ->can('view', 'assignment')->name('givenSeen');
    Route::get('assignments/{assignment}/sites/{site}/survey', [GivenSiteController::class, 'survey'])
        ->can('view', 'assignment')->name('givenSurvey');
    Route::get('assignments/{assignment}/sites/{site}/source/{path}', [GivenSiteController::class, 'source'])
        ->where('path', '.+')->can('view', 'assignment')->name('givenSource');
    Route::get('assignments/{assignment}/brief/proposal', [MaterialController::class, 'propose'])
        ->can('manage', 'assignment')->name('proposeBrief');
    Route::get('brief-kinds', [BriefDraftController::class, 'kinds'])->name('briefKinds');
    Route::get('assignments/{assignment}/brief/draft', [BriefDraftController::class, 'show'])
        ->can('manage', 'assignment')->name('briefDraft');
    Route::put('assignments/{assignment}/brief/draft', [BriefDraftController::class, 'update'])
        ->can('manage', 'assignment')->name('keepBriefDraft');
    Route::delete('assignments/{assignment}/brief/draft', [BriefDraftController::class, 'destroy'])
        ->can('manage', 'assignment')->name('strikeBriefDraft');
    Route::get('assignments/{assignment}/brief/sites', [BriefDraftController::class, 'sites'])
        ->can('manage', 'assignment')->name('trialSites');
    Route::post('assignments/{assignment}/brief/reading', [BriefDraftController::class, 'read'])
        ->can('manage', 'assignment')->name('readBriefDraft');
    Route::put('assignments/{assignment}/brief', [BriefController::class, 'update'])
        ->can('manage', 'assignment')->name('setBrief');
    Route::post('assignments/{assignment}/brief/trial', [BriefController::class, 'try'])
        ->can('manage', 'assignment')->name('tryBrief');
    Route::get('assignments/{assignment}/class-sheet', [ClassSheetController::class, 'show'])
        ->can('view', 'assignment')->name('classSheet');
    Route::get('assignments/{assignment}/slips', [SlipController::class, 'show'])
        ->can('view', 'assignment')->name('slipStrip');
    Route::post('assignments/{assignment}/slips', [SlipController::class, 'store'])
        ->can('mark', 'assignment')->name('decideSlips');
    Route::get('assignments/{assignment}/lesson', [LessonController::class, 'show'])
        ->can('view', 'assignment')->name('lesson');
    Route::get('assignments/{assignment}/lesson.{ending}', [LessonController::class, 'file'])
        ->whereIn('ending', ['md', 'html', 'pdf'])->can('view', 'assignment')->name('lessonFile');
    Route::get('assignments/{assignment}/arrivals', [ArrivalController::class, 'index'])
        ->can('view', 'assignment')->name('arrivals');
    Route::post('assignments/{assignment}/arrivals', [ArrivalController::class, 'store'])
        ->can('mark', 'assignment')->name('drop');
    Route::post('assignments/{assignment}/addresses', [ArrivalController::class, 'addresses'])
        ->can('mark', 'assignment')->name('takeAddresses');
    Route::post('assignments/{assignment}/uploads', [ArrivalController::class, 'begin'])
        ->can('mark', 'assignment')->name('beginUpload');
    Route::put('uploads/{upload}', [ArrivalController::class, 'add'])->can('mark', 'upload')->name('addToUpload');
    Route::post('uploads/{upload}/arrival', [ArrivalController::class, 'drop'])
        ->can('mark', 'upload')->name('dropUpload');
    Route::delete('assignments/{assignment}/drops/{drop}', [ArrivalController::class, 'takeBack'])
        ->whereUuid('drop')->can('mark', 'assignment')->name('takeDropBack');
    Route::patch('arrivals/{arrival}', [ArrivalController::class, 'update'])->can('mark', 'arrival')->name('match');
    Route::get('hand-ins/{handIn}', [HandInController::class, 'show'])->can('view', 'handIn')->name('desk');
    Route::put('hand-ins/{handIn}/chosen', [HandInController::class, 'choose'])
        ->can('mark', 'handIn')->name('chooseAttempt');
    Route::post('hand-ins/{handIn}/check', [HandInController::class, 'check'])
        ->can('mark', 'handIn')->name('checkAgain');
    Route::delete('hand-ins/{handIn}/chosen', [HandInController::class, 'unchoose'])
        ->can('mark', 'handIn')->name('unchooseAttempt');
    Route::get('hand-ins/{handIn}/findings', [FindingController::class, 'index'])
        ->can('view', 'handIn')->name('findings');
    Route::get('hand-ins/{handIn}/survey', [SurveyController::class, 'show'])->can('view', 'handIn')->name('survey');
    Route::get('hand-ins/{handIn}/source/{path}', [SourceController::class, 'show'])
        ->where('path', '.+')->can('view', 'handIn')->name('source');
    Route::prefix('hand-ins/{handIn}')->where(['path' => '.+', 'number' => '[0-9]{1,6}'])->group(function (): void {
        Route::get('mended/{path}', [MendedCopyController::class, 'show'])->can('view', 'handIn')->name('mendedCopy');
        Route::get('mended-steps/{number}/{path}', [MendedCopyController::class, 'step'])
            ->can('view', 'handIn')->name('mendedStep');
        Route::post('mended-check/{path}', [MendedCopyController::class, 'check'])
            ->can('view', 'handIn')->name('checkMended');
    });
    Route::get('hand-ins/{handIn}/elements', [LooksController::class, 'place'])
        ->can('view', 'handIn')->name('elementPlace');
    Route::get('hand-ins/{handIn}/looks', [LooksController::class, 'show'])->can('view', 'handIn')->name('looks');
    Route::get('hand-ins/{handIn}/seen', [SeenPageController::class, 'address'])->can('view', 'handIn')->name('seen');
    Route::post('notes/preview', [NoteController::class, 'preview'])->name('previewNote');
    Route::get('hand-ins/{handIn}/alike/{fingerprint}', [AlikeController::class, 'show'])
        ->can('view', 'handIn')->name('countAlike');
    Route::put('hand-ins/{handIn}/alike/{fingerprint}', [AlikeController::class, 'update'])
        ->can('mark', 'handIn')->name('decideAlike');
    // Whoever decided takes it back, and nobody else can.
    Route::delete('decided-alike/{batch}', [AlikeController::class, 'destroy'])
        ->whereUuid('batch')->name('takeAlikeBack');
    Route::put('hand-ins/{handIn}/here', [ReadingController::class, 'here'])->can('view', 'handIn')->name('here');
    Route::get('hand-ins/{handIn}/attempts', [AttemptController::class, 'show'])
        ->can('view', 'handIn')->name('compareAttempts');
    Route::get('hand-ins/{handIn}/reply', [ReplyController::class, 'show'])->can('view', 'handIn')->name('reply');
    Route::get('hand-ins/{handIn}/reply.md', [ReplyController::class, 'markdown'])
        ->can('view', 'handIn')->name('replyMarkdown');
    Route::get('hand-ins/{handIn}/reply.html', [ReplyController::class, 'html'])
        ->can('view', 'handIn')->name('replyHtml');
    Route::get('hand-ins/{handIn}/reply.pdf', [ReplyController::class, 'pdf'])->can('view', 'handIn')->name('replyPdf');
    Route::get('assignments/{assignment}/replies', [ReplyController::class, 'ready'])
        ->can('view', 'assignment')->name('readyReplies');
    Route::post('assignments/{assignment}/replies', [ReplyController::class, 'releaseAll'])
        ->can('mark', 'assignment')->name('releaseAll');
    Route::get('hand-ins/{handIn}/words', [ReplyController::class, 'words'])->can('view', 'handIn')->name('draftWords');
    // What the other desks on which the hand-in lies open are to see.
    Route::middleware(NotifyOtherTabs::class)->group(function (): void {
        Route::put('hand-ins/{handIn}/verdicts/{fingerprint}', [VerdictController::class, 'update'])
            ->can('mark', 'handIn')->name('decide');
        Route::post('hand-ins/{handIn}/notes', [NoteController::class, 'store'])
            ->can('mark', 'handIn')->name('writeNote');
        Route::put('notes/{note}', [NoteController::class, 'update'])->can('mark', 'note')->name('changeNote');
        Route::delete('notes/{note}', [NoteController::class, 'destroy'])->can('mark', 'note')->name('dropNote');
        Route::put('hand-ins/{handIn}/marks/{requirement}', [MarkController::class, 'update'])
            ->can('mark', 'handIn')->name('giveMark');
        Route::delete('hand-ins/{handIn}/marks/{requirement}', [MarkController::class, 'destroy'])
            ->can('mark', 'handIn')->name('dropMark');
        Route::put('hand-ins/{handIn}/put-by', [ReadingController::class, 'putBy'])
            ->can('mark', 'handIn')->name('putBy');
        Route::delete('hand-ins/{handIn}/put-by', [ReadingController::class, 'takeUp'])
            ->can('mark', 'handIn')->name('takeUp');
        Route::put('hand-ins/{handIn}/mended/{path}', [MendedCopyController::class, 'update'])
            ->where('path', '.+')->can('mark', 'handIn')->name('keepMended');
        Route::patch('hand-ins/{handIn}/mended/{path}', [MendedCopyController::class, 'use'])
            ->where('path', '.+')->can('mark', 'handIn')->name('useMended');
        Route::post('hand-ins/{handIn}/replies', [ReplyController::class, 'store'])
            ->can('mark', 'handIn')->name('release');
    });
});
