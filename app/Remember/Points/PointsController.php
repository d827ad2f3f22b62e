<?php

declare(strict_types=1);

namespace App\Remember\Points;

use App\Models\Channel;
use App\Models\EarningRow;
use App\Models\User;
use App\Remember\MemoryEditor;
use App\Remember\UsesOfNames;
use App\Storage\Assembler;
use App\Storage\Definitions\DefinitionHistory;
use App\Storage\Definitions\EarningRules;
use App\Storage\MariaDbRanking;
use App\Wording\Sentences;
use Illuminate\Container\Attributes\CurrentUser;
use Illuminate\Contracts\View\View;
use Illuminate\Database\Connection;
use Illuminate\Http\RedirectResponse;
use Illuminate\Http\Request;
use Illuminate\Http\Response;
use Illuminate\Support\Str;
use SilverParrot\Actions\HandOut;
use SilverParrot\Memory\View as Memory;
use SilverParrot\Pack\EarningSummary;
use SilverParrot\Pack\Field;
use SilverParrot\Pack\FieldType;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;

/** Points: how they are earned, who has the most, and handing them out. */
final readonly class PointsController
{
    private const RANKED = 10;

    public function __construct(
        private Connection $connection,
        private Assembler $assembler,
        private DefinitionHistory $history,
    ) {
    }

    public function index(Channel $channel, Here $here, UsesOfNames $uses, Sentences $sentences): View
    {
        $pack = $this->assembler->names($channel);
        $used = $uses->all($channel);
        $units = [];
        foreach ($pack->fields as $name => $field) {
            if ($field->type === FieldType::Points) {
                $ranking = new MariaDbRanking($this->connection, $channel->id);
                $units[] = [
                    'field' => $field,
                    'best' => $ranking->top(Fold::caseless($field->id), self::RANKED, $pack->withoutPoints($field)),
                    'here' => count($here->of($channel, $pack, $field)),
                    'uses' => array_values(
                        array_unique([
                            ...$used["caller.$name"] ?? [],
                            ...$used["target.$name"] ?? [],
                            ...$used["top.$name"] ?? [],
                        ]),
                    ),
                ];
            }
        }

        return view('remember.points', [
            'channel' => $channel,
            'units' => $units,
            'rules' => $channel->earnings()->orderBy('id')->get()->groupBy('unit'),
            'told' => self::told($pack, $sentences),
            'isListed' => $here->isListed($channel),
        ]);
    }

    public function earn(EarningRequest $request, Channel $channel, #[CurrentUser] User $user): RedirectResponse
    {
        $id = Str::lower((string) Str::ulid());
        $kind = new EarningRules;
        $this->history->change(
            $channel,
            $kind,
            $id,
            $user,
            null,
            static fn () => $kind->put($channel, $id, $request->state()),
        );

        return self::back($channel, 'The rule is added to the draft; publish it to put it on the air.');
    }

    public function unearn(Channel $channel, EarningRow $earning, #[CurrentUser] User $user): RedirectResponse
    {
        $this->history->change(
            $channel,
            new EarningRules,
            $earning->stable_id,
            $user,
            null,
            static fn () => $earning->delete(),
        );

        return self::back($channel, 'The rule is deleted; what was earned by it stays.');
    }

    public function handOut(
        Request $request,
        Channel $channel,
        string $stable,
        Here $here,
        MemoryEditor $memory,
        Sentences $sentences,
        #[CurrentUser] User $user,
    ): RedirectResponse {
        $field = $this->unit($channel, $stable);
        $people = $here->of($channel, $this->assembler->names($channel), $field);
        $out = new HandOut($field, $people);
        $typed = trim($request->string('amount')->value());
        $amount = preg_match('/^-?\d{1,15}$/D', $typed) === 1 ? (int) $typed : 0;
        $done = null;
        $do = static function (Memory $now) use ($out, $amount, &$done): array {
            $done = $out->do($amount, $now);

            return $done->changes;
        };
        $memory->change($channel, $user, $out->reads(), $do);
        $reason = $done->outcome['reason'] ?? null;
        if ($reason instanceof Message) {
            return self::back($channel, '')->withInput()->withErrors(['amount' => $sentences->of($reason)]);
        }

        return self::back(
            $channel,
            "$amount {$field->called($amount)} for ".(count($people) === 1 ? 'one who is here.' : count($people)
                .' who are here.'),
        );
    }

    /** @return array<string, string> what each rule gives to whom, by its id */
    private static function told(Pack $pack, Sentences $sentences): array
    {
        $units = array_column($pack->fields, null, 'id');
        $told = [];
        foreach ($pack->earnings as $rule) {
            $unit = $units[$rule->unit] ?? null;
            if ($unit !== null) {
                $told[$rule->id] = $sentences->of(EarningSummary::of($rule, $unit));
            }
        }

        return $told;
    }

    private function unit(Channel $channel, string $stable): Field
    {
        foreach ($this->assembler->names($channel)->fields as $field) {
            if ($field->id === $stable && $field->type === FieldType::Points) {
                return $field;
            }
        }
        abort(Response::HTTP_NOT_FOUND);
    }

    private static function back(Channel $channel, string $notice): RedirectResponse
    {
        $back = redirect()->route('remember.points', $channel);

        return $notice === '' ? $back : $back->with('notice', $notice);
    }
}
