<?php

declare(strict_types=1);

namespace App\Console;

use Amp\TimeoutCancellation;
use App\Web\WebClient;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Lookup\Answer;
use SilverParrot\Lookup\AnswerReader;
use SilverParrot\Lookup\Lookup;
use SilverParrot\Lookup\Reading;
use SilverParrot\Lookup\Trouble;
use SilverParrot\Pack\Pack;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Gap;
use SilverParrot\Value\ListValue;
use SilverParrot\Value\Moment;
use SilverParrot\Value\Number;
use SilverParrot\Value\Value;

final class LookupCommand extends CoreCommand
{
    private const SECONDS = 10.0;

    protected $signature = 'parrot:lookup
        {pack : a pack document}
        {name : the look-up}
        {arguments?* : its parameters, as name=value}
        {--from= : a file with the answer}
        {--ask : ask the source itself}
        {--now= : the moment, ISO 8601}
        {--json : a report for machines}';

    protected $description = 'Take the readings of a look-up out of an answer, without a database';

    public function handle(Wording $wording): int
    {
        [$pack, $flaws] = $this->pack((string) $this->argument('pack'));
        if ($flaws !== []) {
            $this->tell($flaws);

            return self::INVALID;
        }
        $lookup = $pack->lookups[Fold::caseless((string) $this->argument('name'))]
            ?? throw BadArgument::noLookup((string) $this->argument('name'), array_keys($pack->lookups));
        $address = $this->address($lookup);
        $answer = $this->answer($lookup, $address);
        $readings = $answer instanceof Trouble
            ? array_map(static fn (Reading $one): Gap => $answer->gap($lookup), $lookup->readings)
            : (new AnswerReader($lookup, $answer, $pack->channel->zone))->all()->values;

        return $this->report($lookup, $address, $readings, $pack, $wording);
    }

    /** Whoever may run this here may ask anybody in the world, and nobody near. */
    private function answer(Lookup $lookup, string $address): Answer|Trouble
    {
        $from = $this->text('from');
        $isAsked = $this->option('ask') === true;
        if (($from === '') === ! $isAsked) {
            throw BadArgument::noAnswer();
        }
        if (! $isAsked) {
            return new Answer(200, [], $this->file($from), $this->moment());
        }
        $headers = [];
        foreach ($lookup->headers as $header) {
            $headers += $header->isSecret ? [] : [$header->name => $header->value];
        }

        return (new WebClient(config()->string('air.harbour')))->ask(
            $address,
            $headers,
            [],
            static fn (string $host): bool => true,
            new TimeoutCancellation(self::SECONDS),
        );
    }

    /** @throws BadArgument */
    private function address(Lookup $lookup): string
    {
        $typed = [];
        foreach ($this->argument('arguments') as $argument) {
            [$name, $value] = explode('=', $argument, 2) + ['', ''];
            if (! str_contains($argument, '=') || ! isset($lookup->parameters[Fold::caseless($name)])) {
                throw BadArgument::parameter($name, array_keys($lookup->parameters));
            }
            $typed[Fold::caseless($name)] = $value;
        }
        $address = $lookup->addressWith($typed, $typed);

        return is_string($address) ? $address : throw BadArgument::notAdmitted($address->name);
    }

    /** @param  array<string, bool|int|string|Value>  $readings */
    private function report(Lookup $lookup, string $address, array $readings, Pack $pack, Wording $wording): int
    {
        $told = [];
        foreach ($readings as $folded => $value) {
            $reading = $lookup->readings[$folded];
            $told[$reading->name] = $value instanceof Gap
                ? ['gap' => $value->reason->value, 'sentence' => $wording->of($value->message())]
                : ['type' => $reading->kind::key(), 'value' => self::plain($value)];
        }
        if ($this->option('json') === true) {
            $judged = WebAddress::of($address);
            $this->json([
                'address' => $address,
                'allowed' => $judged instanceof WebAddress,
                'readings' => (object) $told,
            ]);
        } else {
            foreach ($told as $name => $one) {
                $this->say("$name: ".(isset($one['gap'])
                    ? "nothing: {$one['sentence']}"
                    : (string) json_encode($one['value'], JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES)));
            }
        }

        return array_filter($told, static fn (array $one): bool => isset($one['gap'])) === []
            ? self::SUCCESS
            : self::FAILURE;
    }

    /** @return bool|float|int|string|list<mixed> as JSON has it */
    private static function plain(bool|int|string|Value $value): bool|float|int|string|array
    {
        return match (true) {
            $value instanceof Number => (float) Number::digits($value),
            $value instanceof Moment => $value->iso(),
            $value instanceof ListValue => $value->items,
            is_scalar($value) => $value,
            default => '',
        };
    }
}
