<?php

declare(strict_types=1);

use App\Accounts\ChannelsController;
use App\Accounts\MembersController;
use App\Accounts\PasswordController;
use App\Accounts\RegistrationController;
use App\Accounts\SessionController;
use App\Accounts\SignInLinkController;
use App\Publish\ChatController;
use App\Publish\ConnectionController;
use App\Publish\PublishController;
use App\Rehearse\ExpectationController;
use App\Rehearse\TryController;
use App\Remember\EmotesController;
use App\Remember\MemoryController;
use App\Write\BringController;
use App\Write\CommandController;
use App\Write\CommandsController;
use App\Write\FindingsController;
use App\Write\FloodController;
use App\Write\PreviewController;
use App\Write\ReferenceController;
use Illuminate\Support\Facades\Route;

Route::get('/', [ChannelsController::class, 'home'])->name('home');
Route::get('/sign-in/link/{token}', SignInLinkController::class)->middleware('throttle:20,1')->name('sign-in.link');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SessionController::class, 'store'])->middleware('throttle:30,1');
    Route::get('/register', [RegistrationController::class, 'create'])->name('register');
    Route::post('/register', [RegistrationController::class, 'store'])->middleware('throttle:10,1');
    Route::get('/forgotten', [PasswordController::class, 'request'])->name('password.request');
    Route::post('/forgotten', [PasswordController::class, 'send'])->middleware('throttle:6,1')->name('password.email');
    Route::get('/new-password/{token}', [PasswordController::class, 'edit'])->name('password.reset');
    Route::post('/new-password', [PasswordController::class, 'update'])->middleware('throttle:6,1')->name('password.update');
});

Route::middleware('auth')->group(function (): void {
    Route::post('/sign-out', [SessionController::class, 'destroy'])->name('sign-out');
    Route::get('/channels', [ChannelsController::class, 'index'])->name('channels');
    Route::post('/channels', [ChannelsController::class, 'store'])->middleware('throttle:10,1')->name('channels.store');
});

// Children are looked for among their channel's own, never by number alone.
Route::prefix('/channels/{channel}')->middleware(['auth'])->scopeBindings()->group(function (): void {
    Route::middleware('can:view,channel')->group(function (): void {
        Route::get('/write', [CommandsController::class, 'index'])->name('write');
        Route::get('/write/commands/{command}', [CommandController::class, 'edit'])->whereNumber('command')->name('write.command');
        Route::get('/write/findings', [FindingsController::class, 'index'])->name('write.findings');
        Route::get('/write/reference', ReferenceController::class)->name('write.reference');
        Route::post('/write/preview', PreviewController::class)->middleware('throttle:1200,1')->name('write.preview');
        Route::get('/remember', [MemoryController::class, 'index'])->name('remember');
        Route::get('/publish', [PublishController::class, 'index'])->name('publish');
        Route::get('/publish/chat', [ChatController::class, 'index'])->name('publish.chat');
        Route::get('/publish/chat/lines', [ChatController::class, 'lines'])->middleware('throttle:120,1')->name('publish.lines');
        Route::get('/publish/chat/lines/{number}/why', [ChatController::class, 'show'])->whereNumber('number')->name('publish.why');
        Route::get('/publish/chat/lines/{number}/twice', [ChatController::class, 'twice'])->whereNumber('number')->name('publish.twice');
        Route::post('/publish/chat/stream', [ChatController::class, 'stream'])->middleware('throttle:60,1')->name('publish.stream');
        Route::post('/rehearse/try', TryController::class)->middleware('throttle:600,1')->name('rehearse.try');
    });
    Route::middleware('can:write,channel')->group(function (): void {
        Route::get('/write/commands/new', [CommandController::class, 'create'])->name('write.new');
        Route::get('/write/bring', [BringController::class, 'create'])->name('write.bring');
        Route::post('/write/bring', [BringController::class, 'store']);
        Route::post('/write/commands', [CommandController::class, 'store'])->name('write.store');
        Route::put('/write/commands/{command}', [CommandController::class, 'update'])->name('write.update');
        Route::post('/write/commands/{command}/mend', [FindingsController::class, 'mend'])->name('write.mend');
        Route::post('/write/commands/{command}/switch', [CommandController::class, 'switch'])->name('write.switch');
        Route::get('/write/commands/{command}/copy', [CommandController::class, 'duplicate'])->name('write.copy');
        Route::delete('/write/commands/{command}', [CommandController::class, 'destroy'])->name('write.drop');
        Route::put('/write/flood', FloodController::class)->name('write.flood');
        Route::post('/write/undo/{change}', [CommandController::class, 'undo'])->name('write.undo');
        Route::post('/rehearse/expectations', [ExpectationController::class, 'store'])->name('rehearse.expect');
        Route::post('/remember/counters', [MemoryController::class, 'count'])->name('remember.count');
        Route::post('/remember/occasions', [MemoryController::class, 'occasion'])->name('remember.occasion');
        Route::post('/remember/emotes', [EmotesController::class, 'store'])->name('remember.emotes');
        Route::delete('/remember/emotes/{emote}', [EmotesController::class, 'destroy'])->name('remember.emotes.drop');
        Route::post('/remember/history/{history}/undo', [MemoryController::class, 'undo'])->whereNumber('history')->name('remember.undo');
        Route::post('/publish', [PublishController::class, 'store'])->name('publish.store');
        Route::post('/publish/editions/{edition}', [PublishController::class, 'putOnAir'])->name('publish.put');
        Route::post('/publish/chat', [ChatController::class, 'say'])->middleware('throttle:120,1')->name('publish.say');
        Route::post('/publish/chat/harbour', [ChatController::class, 'harbour'])->middleware('throttle:60,1')->name('publish.harbour');
        Route::post('/publish/pause', [PublishController::class, 'pause'])->name('publish.pause');
        Route::post('/publish/silence', [PublishController::class, 'silence'])->name('publish.silence');
        Route::delete('/write/commands/{command}/expectations/{expectation}', [ExpectationController::class, 'destroy'])->name('rehearse.unexpect');
    });
    Route::middleware('can:manage,channel')->group(function (): void {
        Route::get('/publish/connection', [ConnectionController::class, 'edit'])->name('publish.connection');
        Route::put('/publish/connection', [ConnectionController::class, 'update']);
        Route::get('/members', [MembersController::class, 'index'])->name('members');
        Route::post('/members', [MembersController::class, 'store'])->name('members.store');
        Route::delete('/members/{membership}', [MembersController::class, 'destroy'])->name('members.destroy');
    });
});
