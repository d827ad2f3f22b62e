<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Scripts;

use SilverParrot\Chat\Happening;
use SilverParrot\Chat\HappeningKind;
use SilverParrot\Chat\Person;
use SilverParrot\Document\Document;
use SilverParrot\Format\CannedAnswersFormat;
use SilverParrot\Format\CastFormat;
use SilverParrot\Format\ExpectationFormat;
use SilverParrot\Pack\CastMember;
use SilverParrot\Pack\Pack;
use SilverParrot\Pack\Script;
use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\MemoryFormat;
use SilverParrot\Rehearsal\TimedLine;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Value\Moment;

/** A script as a document: docs/formats/script.schema.json. */
final class ScriptFormat
{
    private const START = ['at', 'seed', 'cast', 'memory', 'channel', 'answers', 'given', 'told', 'no_flood_limit'];

    /** What lines found in memory, where a whole chat was kept. */
    private const GIVEN = 5_000;

    private const CAST = 200;

    /** @return array{ReadScript|null, list<Finding>} null where it is no script at all */
    public static function read(string $text, Pack $pack): array
    {
        $document = Document::parse($text);
        if (is_array($document)) {
            return [null, $document];
        }
        $document
            ->object(['format', 'version', 'title', 'start', 'chat', 'expect'], ['title', 'chat'])
            ->format(ReadScript::FORMAT, 'Silver Parrot script');
        $start = ($document->has('start') ? $document->at('start') : Document::of([]))->object(self::START);
        $at = $start->has('at') ? $start->at('at')->moment() : Moment::fromIso(ReadScript::START);
        $cast = $start->has('cast')
            ? array_map(CastFormat::read(...), $start->at('cast')->items(self::CAST))
            : [];
        $script = new ReadScript(
            $document->has('title') ? $document->at('title')->text(Script::LONGEST_TITLE) : '',
            $at ?? new Moment(0),
            $start->has('seed') ? (string) $start->at('seed')->scalar() : '1',
            $cast,
            self::situation($start, $cast, $pack, $at ?? new Moment(0)),
            self::parts($document, $pack, $cast),
            $document->has('expect') ? Expecting::read($document->at('expect'), true) : [],
            $start->has('no_flood_limit') && $start->at('no_flood_limit')->flag(),
        );

        return [$script, $document->findings()];
    }

    /** @param  list<CastMember>  $cast */
    private static function situation(Document $start, array $cast, Pack $pack, Moment $at): InitialState
    {
        $memory = $start->has('memory')
            ? MemoryFormat::of($start->at('memory')->object(MemoryFormat::KEYS), $pack)
            : new InitialState;
        $records = [];
        foreach ($cast as $member) {
            $records += InitialState::recordOf($member, $pack);
        }
        $given = $start->has('given') ? ExpectationFormat::given($start->at('given'), self::GIVEN) : [];
        $situation = new InitialState(
            $given + $records + $memory->memory,
            ($start->has('channel') ? self::scalars($start->at('channel')) : []) + $memory->channel,
            $memory->readings,
            $memory->people,
        );
        $told = [];
        foreach ($start->has('told') ? $start->at('told')->items(self::GIVEN) : [] as $one) {
            $one->object(['id', 'value'], ['id', 'value']);
            $id = array_map(static fn (Document $part): string => $part->text(1_000), $one->at('id')->items(20));
            $told[implode("\x1F", $id)] = $one->at('value')->scalar();
        }
        $situation = $told === [] ? $situation : $situation->as([], $told);

        return $start->has('answers')
            ? $situation->withAnswers(CannedAnswersFormat::of($start->at('answers'), $pack->lookups, $at))
            : $situation;
    }

    /** @return array<string, null|bool|int|string> */
    private static function scalars(Document $object): array
    {
        return array_map(
            static fn (Document $one): null|bool|int|string => $one->scalar(),
            array_filter($object->each(), is_string(...), ARRAY_FILTER_USE_KEY),
        );
    }

    /**
     * @param  list<CastMember>  $cast
     * @return list<ScriptPart>
     */
    private static function parts(Document $document, Pack $pack, array $cast): array
    {
        $parts = [];
        $last = 0;
        $items = $document->has('chat') ? $document->at('chat')->items(Limits::REHEARSAL_LINES) : [];
        foreach ($items as $place => $item) {
            $item->object(['line', 'key', 'at', 'happens', 'expect']);
            if ($item->has('line') === $item->has('happens')) {
                $item->note(ScriptFlaw::LineOrHappening, []);

                continue;
            }
            $what = $item->has('line') ? self::line($item) : self::happening($item, $place, $pack, $cast);
            if ($what === null) {
                continue;
            }
            $millis = $what instanceof TimedLine ? $what->millis : $what->at()->millis;
            if ($millis < $last) {
                $item->note(ScriptFlaw::BackInTime, []);
            }
            $last = max($last, $millis);
            $parts[] = new ScriptPart(
                $last,
                $what,
                $item->has('expect') ? Expecting::read($item->at('expect'), false) : [],
            );
        }

        return $parts;
    }

    private static function line(Document $item): ?TimedLine
    {
        $text = $item->at('line')->text(Limits::LINE + 100);
        $line = ChatFile::line($text);
        if ($line === null) {
            $item->at('line')->note(ScriptFlaw::NotALine, ['value' => mb_substr($text, 0, 60)]);

            return null;
        }
        // Luck hangs on the key: a line of the air, or of a kept answer, has its own.
        $key = $item->has('key') ? $item->at('key')->text(200) : '';

        return new TimedLine($line->millis, $line->by, $line->text, $key, $line->isWhisper);
    }

    /**
     * At milliseconds since the start.
     *
     * @param  list<CastMember>  $cast
     */
    private static function happening(Document $item, int $place, Pack $pack, array $cast): ?Happening
    {
        $at = $item->has('at') ? $item->at('at')->text(12) : '';
        $seconds = ChatFile::seconds($at);
        if ($seconds === null) {
            $item->at('at')->note(ScriptFlaw::NotATime, ['value' => $at]);

            return null;
        }
        $happens = $item->at('happens')->object(
            array_map(static fn (HappeningKind $kind): string => $kind->value, HappeningKind::cases()),
        );
        foreach (HappeningKind::cases() as $kind) {
            if ($happens->has($kind->value)) {
                return self::ofKind(
                    $kind,
                    $happens->at($kind->value),
                    "happening $place",
                    new Moment($seconds * 1000),
                    [...$cast, ...$pack->cast],
                );
            }
        }
        $happens->note(ScriptFlaw::LineOrHappening, []);

        return null;
    }

    /** @param  list<CastMember>  $cast */
    private static function ofKind(
        HappeningKind $kind,
        Document $value,
        string $key,
        Moment $at,
        array $cast,
    ): Happening {
        if ($kind === HappeningKind::Follow) {
            $login = $value->text(60);
            foreach ($cast as $member) {
                if ($member->person()->is($login)) {
                    return new Happening($key, $kind, $at, $member->person());
                }
            }

            return new Happening($key, $kind, $at, Person::unknown($login));
        }

        if (! in_array($kind, [HappeningKind::Raid, HappeningKind::Category], true)) {
            $value->flag();
            $value->isFalse() ? $value->notOneOf('false', ['true']) : null;
        }

        return match ($kind) {
            HappeningKind::Raid => new Happening(
                $key,
                $kind,
                $at,
                count: $value->whole(1, CrowdDescription::LARGEST_RAID),
            ),
            HappeningKind::Category => new Happening($key, $kind, $at, text: $value->text(100)),
            default => new Happening($key, $kind, $at),
        };
    }
}
