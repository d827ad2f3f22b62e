<?php

declare(strict_types=1);

use App\Accounts\AccountController;
use App\Accounts\ChannelsController;
use App\Accounts\InvitationController;
use App\Accounts\MembersController;
use App\Accounts\PasswordController;
use App\Accounts\RegistrationController;
use App\Accounts\SessionController;
use App\Accounts\SignInLinkController;
use App\Publish\ChatController;
use App\Publish\ConnectionController;
use App\Publish\FromChat\FromChatController;
use App\Publish\HealthController;
use App\Publish\PublishController;
use App\Publish\WaitingController;
use App\Rehearse\CastController;
use App\Rehearse\Evenings\EveningsController;
use App\Rehearse\Evenings\ReplayController;
use App\Rehearse\Evenings\TalkersController;
use App\Rehearse\ExpectationController;
use App\Rehearse\KeepChangesController;
use App\Rehearse\RehearseController;
use App\Rehearse\Scripts\CoverageController;
use App\Rehearse\Scripts\RepliesController;
use App\Rehearse\Scripts\ScriptsController;
use App\Rehearse\Scripts\SuggestedController;
use App\Rehearse\TryController;
use App\Remember\Counters\CounterController;
use App\Remember\EmotesController;
use App\Remember\Goods\GoodsController;
use App\Remember\Lists\FromChatItemController;
use App\Remember\Lists\ListController;
use App\Remember\Live\LiveController;
use App\Remember\Lookups\AddressesController;
use App\Remember\Lookups\AskingController;
use App\Remember\Lookups\CandidatesController;
use App\Remember\Lookups\CannedController;
use App\Remember\Lookups\LookupsController;
use App\Remember\MemoryController;
use App\Remember\Moving\MovingController;
use App\Remember\NamedController;
use App\Remember\Plan\PlanController;
use App\Remember\Points\PointsController;
use App\Remember\Quotes\QuotesController;
use App\Remember\Ranks\RanksController;
use App\Remember\Regulars\RegularsController;
use App\Remember\Transfer\TransferController;
use App\Remember\Viewers\ViewersController;
use App\Write\AliasController;
use App\Write\CommandController;
use App\Write\CommandsController;
use App\Write\DeletedCommandsController;
use App\Write\FindingsController;
use App\Write\FloodController;
use App\Write\HelpController;
use App\Write\ImportController;
use App\Write\ManyController;
use App\Write\PackController;
use App\Write\PhraseOrderController;
use App\Write\PhrasesController;
use App\Write\PreviewController;
use App\Write\ReferenceController;
use App\Write\RefusalsController;
use App\Write\TimersController;
use App\Write\UndoDefinitionController;
use Illuminate\Support\Facades\Route;

// Numbers that no row has, and what is no number, are nothing here.
Route::patterns(
    array_fill_keys(
        [
            'channel',
            'command',
            'change',
            'edition',
            'emote',
            'expectation',
            'castMember',
            'membership',
            'invitation',
            'history',
            'number',
            'viewer',
            'definitionChange',
            'liveAddress',
            'earning',
            'rehearsal',
            'script',
            'mark',
        ],
        '[0-9]{1,18}',
    ),
);

Route::get('/', [ChannelsController::class, 'home'])->name('home');
// Read by stream pictures every second: nobody is signed in there, and no session begins.
Route::middleware('throttle:live')
    ->withoutMiddleware('web')
    ->where(['token' => '[0-9a-f]{48}'])
    ->group(function (): void {
        Route::get('/live/{token}', [LiveController::class, 'page'])->name('live');
        Route::get('/live/{token}/text', [LiveController::class, 'text'])->name('live.text');
    });
Route::get('/sign-in/link/{token}', SignInLinkController::class)
    ->middleware('throttle:sign-in-link')
    ->where('token', '[0-9a-f]{48}')
    ->name('sign-in.link');

Route::middleware('guest')->group(function (): void {
    Route::get('/sign-in', [SessionController::class, 'create'])->name('sign-in');
    Route::post('/sign-in', [SessionController::class, 'store'])->middleware('throttle:sign-in');
    Route::get('/register', [RegistrationController::class, 'create'])->name('register');
    Route::post('/register', [RegistrationController::class, 'store'])->middleware('throttle:registration');
    Route::get('/forgotten', [PasswordController::class, 'request'])->name('password.request');
    Route::post('/forgotten', [PasswordController::class, 'send'])
        ->middleware('throttle:password')
        ->name('password.email');
    Route::get('/new-password/{token}', [PasswordController::class, 'edit'])->name('password.reset');
    Route::post('/new-password', [PasswordController::class, 'update'])
        ->middleware('throttle:password')
        ->name('password.update');
});

Route::get('/invitation/{token}', [InvitationController::class, 'show'])
    ->middleware('throttle:invitation')
    ->where('token', '[0-9a-f]{48}')
    ->name('invitation');

Route::middleware('auth')->group(function (): void {
    Route::post('/invitation/{token}', [InvitationController::class, 'accept'])
        ->middleware('throttle:invitation')
        ->where('token', '[0-9a-f]{48}')
        ->name('invitation.accept');
    Route::post('/sign-out', [SessionController::class, 'destroy'])->name('sign-out');
    Route::post('/first-steps', [AccountController::class, 'dismissFirstSteps'])->name('first-steps.dismiss');
    Route::get('/account', [AccountController::class, 'show'])->name('account');
    Route::put('/account/name', [AccountController::class, 'name'])->name('account.name');
    Route::get('/account/email/confirm', [AccountController::class, 'confirm'])->name('account.email.confirm');
    Route::middleware('throttle:account')->group(function (): void {
        Route::put('/account/email', [AccountController::class, 'email'])->name('account.email');
        Route::put('/account/password', [AccountController::class, 'password'])->name('account.password');
        Route::post('/account/end', [AccountController::class, 'end'])->name('account.end');
    });
    Route::get('/channels', [ChannelsController::class, 'index'])->name('channels');
    Route::post('/channels', [ChannelsController::class, 'store'])
        ->middleware('throttle:channels')
        ->name('channels.store');
});

// Children are looked for among their channel's own, never by number alone.
Route::prefix('/channels/{channel}')
    ->middleware(['auth'])
    ->scopeBindings()
    ->group(function (): void {
        Route::middleware('can:view,channel')->group(function (): void {
            Route::get('/write', [CommandsController::class, 'index'])->name('write');
            Route::get('/write/commands/{command}', [CommandController::class, 'edit'])->name('write.command');
            Route::get('/write/deleted', [DeletedCommandsController::class, 'index'])->name('write.deleted');
            Route::get('/write/pack', [PackController::class, 'export'])->name('write.pack.export');
            Route::get('/write/help', HelpController::class)->name('write.help');
            Route::get('/write/mistyped', [AliasController::class, 'index'])->name('write.mistyped');
            Route::get('/write/timers', [TimersController::class, 'index'])->name('write.timers');
            Route::get('/write/timers/picture', [TimersController::class, 'picture'])->name('write.timers.picture');
            Route::get('/write/phrases', [PhraseOrderController::class, 'index'])->name('write.phrase-order');
            Route::get('/write/findings', [FindingsController::class, 'index'])->name('write.findings');
            Route::get('/write/reference', ReferenceController::class)->name('write.reference');
            Route::post('/write/preview', PreviewController::class)
                ->middleware(['throttle:typing', 'one-at-a-time:preview'])
                ->name('write.preview');
            Route::post('/write/phrases', PhrasesController::class)
                ->middleware(['throttle:typing', 'one-at-a-time:phrases'])
                ->name('write.phrases');
            Route::get('/remember', [MemoryController::class, 'index'])->name('remember');
            Route::get('/remember/quotes', [QuotesController::class, 'index'])->name('remember.quotes');
            Route::get('/remember/regulars', [RegularsController::class, 'index'])->name('remember.regulars');
            Route::get('/remember/points', [PointsController::class, 'index'])->name('remember.points');
            Route::get('/remember/ranks', [RanksController::class, 'index'])->name('remember.ranks');
            Route::get('/remember/goods', GoodsController::class)->name('remember.goods');
            Route::get('/remember/plan', [PlanController::class, 'index'])->name('remember.plan');
            Route::get('/remember/plan/calendar', [PlanController::class, 'give'])->name('remember.plan.give');
            Route::get('/remember/viewers', [ViewersController::class, 'index'])->name('remember.viewers');
            Route::get('/remember/viewers/{viewer}', [ViewersController::class, 'show'])->name('remember.person');
            Route::get('/remember/viewers/{viewer}/export', [ViewersController::class, 'export'])->name(
                'remember.person.export',
            );
            Route::get('/remember/moving', [MovingController::class, 'index'])->name('remember.moving');
            Route::get('/remember/live', [LiveController::class, 'index'])->name('remember.live');
            Route::get('/remember/lookups', [LookupsController::class, 'index'])->name('remember.lookups');
            Route::get('/remember/counters/{stable}', CounterController::class)->name('remember.counter');
            Route::get('/remember/lists/{stable}', [ListController::class, 'show'])->name('remember.list');
            Route::get('/remember/take/{transfer}/{format}', [TransferController::class, 'take'])
                ->where(['transfer' => '[a-z]{1,20}', 'format' => 'csv|json'])
                ->name('remember.take');
            Route::get('/remember/emotes/{emote}/picture', [EmotesController::class, 'show'])->name(
                'remember.emotes.picture',
            );
            Route::get('/publish', [PublishController::class, 'index'])->name('publish');
            Route::get('/publish/scripts', [PublishController::class, 'scripts'])->name('publish.scripts');
            Route::get('/publish/differently', [PublishController::class, 'differently'])
                ->middleware('throttle:trying')
                ->name('publish.differently');
            Route::get('/publish/chat', [ChatController::class, 'index'])->name('publish.chat');
            Route::post('/publish/waiting', WaitingController::class)
                ->middleware('throttle:watching')
                ->name('publish.waiting');
            Route::get('/publish/health', HealthController::class)
                ->middleware('throttle:watching')
                ->name('publish.health');
            Route::get('/publish/chat/lines', [ChatController::class, 'lines'])
                ->middleware('throttle:watching')
                ->name('publish.lines');
            Route::get('/publish/chat/lines/{number}/why', [ChatController::class, 'show'])->name('publish.why');
            Route::get('/publish/chat/lines/{number}/twice', [ChatController::class, 'twice'])->name('publish.twice');
            Route::post('/publish/chat/stream', [ChatController::class, 'stream'])
                ->middleware('throttle:streaming')
                ->name('publish.stream');
            Route::get('/write/commands/{command}/coverage', CoverageController::class)
                ->middleware('throttle:trying')
                ->name('write.coverage');
            Route::get('/write/from-chat', [FromChatController::class, 'index'])->name('write.from-chat');
            Route::get('/rehearse', RehearseController::class)->name('rehearse');
            Route::get('/rehearse/scripts', [ScriptsController::class, 'index'])->name('rehearse.scripts');
            Route::get('/rehearse/scripts/stand', [ScriptsController::class, 'stand'])
                ->middleware('throttle:trying')
                ->name('rehearse.scripts.stand');
            Route::get('/rehearse/scripts/suggest/{command}', [ScriptsController::class, 'suggest'])
                ->middleware(['throttle:trying', 'one-at-a-time:suggest'])
                ->name('rehearse.scripts.suggest');
            Route::get('/rehearse/crowd', [EveningsController::class, 'index'])->name('rehearse.crowd');
            Route::get('/rehearse/replay', [ReplayController::class, 'index'])->name('rehearse.replay');
            Route::prefix('/rehearse/evenings/{rehearsal}')->name('rehearse.evening')->group(function (): void {
                Route::get('/', [EveningsController::class, 'show']);
                Route::get('/picture', [EveningsController::class, 'picture'])
                    ->middleware('throttle:trying')
                    ->name('.picture');
                Route::get('/moment/{mark}', [EveningsController::class, 'moment'])
                    ->middleware(['throttle:trying', 'one-at-a-time:moment'])
                    ->name('.moment');
                Route::get('/report', [EveningsController::class, 'report'])
                    ->middleware(['throttle:trying', 'one-at-a-time:report'])
                    ->name('.report');
            });
            Route::post('/rehearse/try', TryController::class)
                ->middleware(['throttle:trying', 'one-at-a-time:try'])
                ->name('rehearse.try');
        });
        Route::middleware('can:write,channel')->group(function (): void {
            Route::get('/write/commands/new', [CommandController::class, 'create'])->name('write.new');
            Route::get('/write/import', [ImportController::class, 'create'])->name('write.import');
            Route::post('/write/import', [ImportController::class, 'store']);
            Route::post('/write/pack', [PackController::class, 'look'])->name('write.pack');
            Route::post('/write/pack/import', [PackController::class, 'import'])->name('write.pack.import');
            Route::post('/write/import/{batch}/undo', [ImportController::class, 'undo'])
                ->where('batch', '[0-9A-Za-z]{26}')
                ->name('write.import.undo');
            Route::post('/write/commands', [CommandController::class, 'store'])->name('write.store');
            Route::put('/write/commands/{command}', [CommandController::class, 'update'])->name('write.update');
            Route::post('/write/commands/{command}/mend', [FindingsController::class, 'mend'])->name('write.mend');
            Route::post('/write/commands/{command}/switch', [CommandController::class, 'switch'])->name('write.switch');
            Route::get('/write/commands/{command}/copy', [CommandController::class, 'duplicate'])->name('write.copy');
            Route::delete('/write/commands/{command}', [CommandController::class, 'destroy'])->name('write.drop');
            Route::post('/write/timers', [TimersController::class, 'store'])->name('write.timers.store');
            Route::put('/write/timers/{timer}', [TimersController::class, 'update'])->name('write.timers.update');
            Route::post('/write/timers/{timer}/now', [TimersController::class, 'now'])->name('write.timers.now');
            Route::delete('/write/timers/{timer}', [TimersController::class, 'destroy'])->name('write.timers.destroy');
            Route::post('/write/phrases/move', [PhraseOrderController::class, 'move'])->name('write.phrase-order.move');
            Route::post('/write/phrases/{batch}/undo', [PhraseOrderController::class, 'undo'])
                ->whereUlid('batch')
                ->name('write.phrase-order.undo');
            Route::post('/write/aliases', [AliasController::class, 'store'])->name('write.alias');
            Route::post('/write/from-chat/seen', [FromChatController::class, 'seen'])->name('write.from-chat.seen');
            Route::post('/write/from-chat/{effect}/undo', [FromChatController::class, 'undo'])->name(
                'write.from-chat.undo',
            );
            Route::post('/write/many', [ManyController::class, 'store'])->name('write.many');
            Route::post('/write/many/{batch}/undo', [ManyController::class, 'undo'])
                ->where('batch', '[0-9A-Za-z]{26}')
                ->name('write.many.undo');
            Route::put('/write/flood', FloodController::class)->name('write.flood');
            Route::put('/write/refusals', RefusalsController::class)->name('write.refusals');
            Route::post('/write/undo/{change}', [DeletedCommandsController::class, 'restore'])->name('write.undo');
            Route::post('/definitions/{definitionChange}/undo', UndoDefinitionController::class)->name(
                'definitions.undo',
            );
            Route::get('/rehearse/cast/new', [CastController::class, 'create'])->name('rehearse.cast.new');
            Route::post('/rehearse/cast', [CastController::class, 'store'])->name('rehearse.cast.store');
            Route::get('/rehearse/cast/{castMember}', [CastController::class, 'edit'])->name('rehearse.cast.edit');
            Route::put('/rehearse/cast/{castMember}', [CastController::class, 'update'])->name('rehearse.cast.update');
            Route::delete('/rehearse/cast/{castMember}', [CastController::class, 'destroy'])->name(
                'rehearse.cast.destroy',
            );
            Route::post('/rehearse/keep', KeepChangesController::class)->name('rehearse.keep');
            Route::prefix('/rehearse/scripts')->name('rehearse.scripts.')->group(function (): void {
                Route::post('/', [ScriptsController::class, 'store'])->name('store');
                Route::post('/run', [ScriptsController::class, 'run'])
                    ->middleware(['throttle:trying', 'one-at-a-time:script'])
                    ->name('run');
                Route::post('/from-chat', [ScriptsController::class, 'fromChat'])->name('from-chat');
                Route::post('/again', [ScriptsController::class, 'again'])->name('again');
                Route::post('/suggested', SuggestedController::class)->name('suggested');
                Route::post('/replies/commands/{command}', RepliesController::class)->name('replies');
                Route::put('/{script}', [ScriptsController::class, 'update'])->name('update');
                Route::delete('/{script}', [ScriptsController::class, 'destroy'])->name('destroy');
                Route::post('/{script}/accept', [ScriptsController::class, 'accept'])->name('accept');
                Route::post('/{script}/take', [ScriptsController::class, 'take'])->name('take');
            });
            Route::post('/rehearse/crowd', [EveningsController::class, 'store'])
                ->middleware('throttle:rehearsing')
                ->name('rehearse.crowd.store');
            Route::post('/rehearse/talkers', TalkersController::class)->name('rehearse.talker');
            Route::post('/rehearse/replay', [ReplayController::class, 'store'])
                ->middleware('throttle:rehearsing')
                ->name('rehearse.replay.store');
            Route::post('/rehearse/night', [ReplayController::class, 'night'])
                ->middleware('throttle:rehearsing')
                ->name('rehearse.night');
            Route::post('/rehearse/replay/parts', [ReplayController::class, 'part'])
                ->middleware('throttle:trying')
                ->name('rehearse.replay.part');
            Route::post('/rehearse/evenings/{rehearsal}/stop', [EveningsController::class, 'stop'])->name(
                'rehearse.evening.stop',
            );
            Route::post('/rehearse/evenings/{rehearsal}/take', [EveningsController::class, 'take'])->name(
                'rehearse.evening.take',
            );
            Route::delete('/rehearse/evenings/{rehearsal}', [EveningsController::class, 'destroy'])->name(
                'rehearse.evening.destroy',
            );
            Route::post('/rehearse/expectations', [ExpectationController::class, 'store'])->name('rehearse.expect');
            Route::post('/remember/counters', [MemoryController::class, 'count'])->name('remember.count');
            Route::post('/remember/occasions', [MemoryController::class, 'occasion'])->name('remember.occasion');
            Route::post('/remember/viewers/{viewer}/hand', [MemoryController::class, 'hand'])->name('remember.hand');
            Route::prefix('/remember/named/{kind}')
                ->where(['kind' => '[a-z]{1,20}', 'stable' => '[^/]{1,60}'])
                ->name('remember.named.')
                ->group(function (): void {
                    Route::get('/new', [NamedController::class, 'create'])->name('new');
                    Route::post('/', [NamedController::class, 'store'])->name('store');
                    Route::get('/{stable}/edit', [NamedController::class, 'edit'])->name('edit');
                    Route::put('/{stable}', [NamedController::class, 'update'])->name('update');
                    Route::post('/{stable}/copy', [NamedController::class, 'copy'])->name('copy');
                    Route::delete('/{stable}', [NamedController::class, 'destroy'])->name('destroy');
                });
            Route::prefix('/remember/quotes')
                ->where(['quote' => '[0-9]{1,15}'])
                ->name('remember.quotes.')
                ->group(function (): void {
                    Route::post('/', [QuotesController::class, 'store'])->name('store');
                    Route::put('/habits', [QuotesController::class, 'habits'])->name('habits');
                    Route::put('/{quote}', [QuotesController::class, 'update'])->name('update');
                    Route::delete('/{quote}', [QuotesController::class, 'destroy'])->name('destroy');
                });
            Route::put('/remember/viewers/{viewer}/field', [ViewersController::class, 'field'])->name(
                'remember.person.field',
            );
            Route::post('/remember/viewers/{viewer}/act', [ViewersController::class, 'act'])->name(
                'remember.person.act',
            );
            Route::post('/remember/viewers/{viewer}/merge', [ViewersController::class, 'merge'])->name(
                'remember.person.merge',
            );
            Route::post('/remember/regulars', [RegularsController::class, 'store'])->name('remember.regulars.store');
            Route::put('/remember/regulars', [RegularsController::class, 'rule'])->name('remember.regulars.rule');
            Route::delete('/remember/regulars/{viewer}', [RegularsController::class, 'destroy'])->name(
                'remember.regulars.destroy',
            );
            Route::prefix('/remember/points')
                ->where(['stable' => '[^/]{1,60}'])
                ->name('remember.points.')
                ->group(function (): void {
                    Route::post('/earnings', [PointsController::class, 'earn'])->name('earn');
                    Route::delete('/earnings/{earning}', [PointsController::class, 'unearn'])->name('unearn');
                    Route::post('/{stable}/hand-out', [PointsController::class, 'handOut'])->name('hand');
                });
            Route::put('/remember/ranks/{stable}', [RanksController::class, 'update'])
                ->where('stable', '[^/]{1,60}')
                ->name('remember.ranks.update');
            Route::prefix('/remember/plan')
                ->where(['day' => '[0-9]{4}-[0-9]{2}-[0-9]{2}'])
                ->name('remember.plan.')
                ->group(function (): void {
                    Route::post('/', [PlanController::class, 'store'])->name('store');
                    Route::post('/calendar', [PlanController::class, 'bring'])->name('bring');
                    Route::post('/days/{day}', [PlanController::class, 'day'])->name('day');
                    Route::delete('/{number}', [PlanController::class, 'destroy'])->name('destroy');
                });
            Route::prefix('/remember/lookups')
                ->where(['stable' => '[^/]{1,60}'])
                ->name('remember.lookups.')
                ->group(function (): void {
                    Route::post('/', [LookupsController::class, 'store'])->name('store');
                    Route::post('/ask', [AskingController::class, 'ask'])->middleware('throttle:asking')->name('ask');
                    Route::post('/try', [AskingController::class, 'try'])->middleware('throttle:typing')->name('try');
                    Route::post('/see', [AskingController::class, 'see'])->middleware('throttle:typing')->name('see');
                    Route::post('/candidates', [CandidatesController::class, 'find'])
                        ->middleware('throttle:asking')
                        ->name('candidates');
                    Route::post('/candidates/keep', [CandidatesController::class, 'keep'])->name('candidates.keep');
                    Route::put('/{stable}', [LookupsController::class, 'update'])->name('update');
                    Route::post('/{stable}/copy', [LookupsController::class, 'copy'])->name('copy');
                    Route::delete('/{stable}', [LookupsController::class, 'destroy'])->name('destroy');
                    Route::post('/{stable}/rehearse', [CannedController::class, 'rehearse'])->name('rehearse');
                    Route::post('/{stable}/canned', [CannedController::class, 'store'])->name('canned');
                    Route::post('/{stable}/canned/choose', [CannedController::class, 'choose'])->name('choose');
                    Route::post('/{stable}/canned/drop', [CannedController::class, 'destroy'])->name('drop');
                });
            Route::prefix('/remember/live')
                ->name('remember.live.')
                ->group(function (): void {
                    Route::post('/', [LiveController::class, 'store'])->name('store');
                    Route::put('/{liveAddress}', [LiveController::class, 'update'])->name('update');
                    Route::post('/{liveAddress}/replace', [LiveController::class, 'replace'])->name('replace');
                    Route::delete('/{liveAddress}', [LiveController::class, 'destroy'])->name('destroy');
                });
            Route::post('/remember/lists/{stable}/items', [ListController::class, 'add'])->name('remember.list.add');
            Route::put('/remember/lists/{stable}/from-chat/{item}', FromChatItemController::class)->name(
                'remember.list.from-chat',
            );
            Route::put('/remember/lists/{stable}/items/{item}', [ListController::class, 'item'])->name(
                'remember.list.item',
            );
            Route::prefix('/remember/bring/{transfer}')->where(['transfer' => '[a-z]{1,20}'])->group(function (): void {
                Route::get('/', [TransferController::class, 'bring'])->name('remember.bring');
                Route::post('/', [TransferController::class, 'look'])->name('remember.look');
                Route::post('/keep', [TransferController::class, 'keep'])->name('remember.bring.keep');
            });
            Route::post('/remember/emotes', [EmotesController::class, 'store'])->name('remember.emotes');
            Route::delete('/remember/emotes/{emote}', [EmotesController::class, 'destroy'])->name(
                'remember.emotes.drop',
            );
            Route::post('/remember/history/{history}/undo', [MemoryController::class, 'undo'])->name('remember.undo');
            Route::post('/publish', [PublishController::class, 'store'])->name('publish.store');
            Route::post('/publish/editions/{edition}', [PublishController::class, 'putOnAir'])->name('publish.put');
            Route::post('/publish/chat', [ChatController::class, 'say'])
                ->middleware('throttle:saying')
                ->name('publish.say');
            Route::post('/publish/chat/harbour', [ChatController::class, 'harbour'])
                ->middleware('throttle:harbour')
                ->name('publish.harbour');
            Route::post('/publish/pause', [PublishController::class, 'pause'])->name('publish.pause');
            Route::post('/publish/silence', [PublishController::class, 'silence'])->name('publish.silence');
            Route::delete('/write/commands/{command}/expectations/{expectation}', [
                ExpectationController::class,
                'destroy',
            ])->name('rehearse.unexpect');
        });
        Route::middleware('can:manage,channel')->group(function (): void {
            Route::get('/publish/connection', [ConnectionController::class, 'edit'])->name('publish.connection');
            Route::put('/publish/connection', [ConnectionController::class, 'update']);
            Route::put('/write/from-chat', [FromChatController::class, 'rules'])->name('write.from-chat.rules');
            Route::post('/write/from-chat/{effect}', [FromChatController::class, 'decide'])->name(
                'write.from-chat.decide',
            );
            Route::post('/remember/lookup-hosts', [AskingController::class, 'allow'])->name('remember.lookups.allow');
            Route::put('/remember/addresses', AddressesController::class)->name('remember.addresses');
            Route::delete('/remember/lookup-hosts', [AskingController::class, 'forbid'])->name(
                'remember.lookups.forbid',
            );
            Route::put('/publish/keep', [ConnectionController::class, 'keep'])->name('publish.keep');
            Route::get('/remember/moving/take', [MovingController::class, 'take'])->name('remember.moving.take');
            Route::post('/remember/moving/look', [MovingController::class, 'look'])->name('remember.moving.look');
            Route::post('/remember/moving/stop', [MovingController::class, 'stop'])->name('remember.moving.stop');
            Route::post('/remember/moving/bring', [MovingController::class, 'bring'])->name('remember.moving.bring');
            Route::delete('/remember/viewers/{viewer}', [ViewersController::class, 'erase'])->name(
                'remember.person.erase',
            );
            Route::get('/members', [MembersController::class, 'index'])->name('members');
            Route::post('/members', [MembersController::class, 'store'])
                ->middleware('throttle:inviting')
                ->name('members.store');
            Route::delete('/members/invitations/{invitation}', [MembersController::class, 'withdraw'])->name(
                'members.withdraw',
            );
            Route::delete('/members/{membership}', [MembersController::class, 'destroy'])->name('members.destroy');
        });
    });
