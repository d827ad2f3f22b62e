<?php

declare(strict_types=1);

namespace Tests\Core\Response;

use PHPUnit\Framework\TestCase;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Hearing\Gates\Cooldown;
use SilverParrot\Hearing\Steps\Say;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Response\Reference\Reference;
use SilverParrot\Response\Reference\ReferenceEntry;
use SilverParrot\Response\Response;
use SilverParrot\Response\Segments;
use SilverParrot\Response\SyntaxErrorCode;
use SilverParrot\Response\Vocabulary\Description;
use SilverParrot\Response\Vocabulary\Vocabulary;
use SilverParrot\Source\Severity;
use SilverParrot\Value\Moment;

/** What the language says of itself is true, and nothing in it goes untested. */
final class VocabularyTest extends TestCase
{
    public function test_every_example_is_read_without_a_finding_and_can_be_said(): void
    {
        foreach ($this->described() as $described) {
            $pack = World::pack();
            self::assertSame([], Response::of($described->example)->findings($pack), $described->example);
            $pack = $pack->withCommand(Say::on('!say', $described->example)->gated(Cooldown::none()));
            $outcome = (new Rehearsal($pack, World::situation($pack), '1', ChatProfile::stream()))->line(
                'e',
                World::people()[0]->person(),
                '!say odo',
                $this->now(),
            );
            self::assertNull($outcome->failed, "{$described->example}: {$outcome->failed?->getMessage()}");
        }
    }

    public function test_everything_says_in_a_sentence_what_it_is(): void
    {
        foreach ($this->described() as $described) {
            self::assertMatchesRegularExpression('/^\p{Lu}.*\.$/us', $described->sentence, $described->name);
            self::assertNotSame('', $described->gives);
            self::assertSame(
                [],
                array_diff($described->tells === [] ? [] : $described->parts, array_keys($described->tells)),
                "{$described->name} tells of each of its parts",
            );
        }
        foreach ((new Vocabulary)->filters as $name => $filter) {
            self::assertNotSame('', $filter->describe()->withNothing, "$name says what it does with nothing");
        }
    }

    public function test_plain_words_lead_to_what_is_meant_and_what_has_no_value_anywhere_is_not_offered(): void
    {
        $by = [];
        $entries = Reference::of(World::pack());
        foreach ($entries as $entry) {
            foreach ($entry->also() as $word) {
                $by[$word][] = $entry->insert;
            }
        }
        $leads = [
            'random' => 'roll', 'chance' => 'roll', 'if' => 'when', 'user' => 'caller', 'count' => 'counter.planks',
            'game' => 'channel.category', 'name' => 'caller', 'fallback' => 'or', 'uppercase' => 'upper',
        ];
        foreach ($leads as $word => $insert) {
            self::assertContains($insert, $by[$word] ?? [], $word);
        }
        self::assertNotContains('caller.link', $by['user']);
        $offered = array_map(static fn (ReferenceEntry $one): string => $one->insert, $entries);
        self::assertContains('commands', $offered);
        self::assertNotContains('page', $offered);
    }

    public function test_every_name_verb_filter_and_mistake_is_met_by_a_language_case(): void
    {
        $sources = '';
        $finds = '';
        foreach (glob(__DIR__.'/language/*.test') ?: [] as $file) {
            foreach (CaseFile::read($file) as $case) {
                $sources .= $case['source']."\n";
                $finds .= ($case['finds'] ?? '').";\n";
            }
        }
        $vocabulary = new Vocabulary;
        foreach ([...array_keys($vocabulary->names), ...array_keys($vocabulary->verbs)] as $name) {
            self::assertMatchesRegularExpression('/\b'.$name.'\b/i', $sources);
        }
        foreach (array_keys($vocabulary->filters) as $name) {
            self::assertMatchesRegularExpression('/\| '.$name.'\b/', $sources);
        }
        // Those that need a text too long for a case file are met by the pathological tests.
        $elsewhere = [SyntaxErrorCode::TooLong, SyntaxErrorCode::TooDeep, SyntaxErrorCode::TooManySlots];
        foreach (SyntaxErrorCode::cases() as $mistake) {
            if (! in_array($mistake, $elsewhere, true)) {
                self::assertStringContainsString($mistake->code().' ', $finds, "no case finds {$mistake->code()}");
            }
        }
    }

    public function test_every_mistake_has_a_sentence_and_a_way_to_mend_it(): void
    {
        foreach (SyntaxErrorCode::cases() as $mistake) {
            self::assertMatchesRegularExpression('/\.$/', $mistake->sentence());
            self::assertNotSame('', $mistake->mend());
            self::assertMatchesRegularExpression('/^[a-z]+(-[a-z]+)*$/', $mistake->code());
        }
        self::assertSame(Severity::Note, SyntaxErrorCode::DoubledBrackets->severity());
    }

    public function test_a_response_is_cut_into_text_and_slots_for_showing(): void
    {
        self::assertSame(
            [['Ahoy ', false], ['[caller]', true], ['! ', false], ['[words | cut 3]', true]],
            Segments::of('Ahoy [caller]! [words | cut 3]'),
        );
        self::assertSame(
            [['[[caller] ', false], ['["a ] b"]', true], ['[', true]],
            Segments::of('[[caller] ["a ] b"]['),
        );
        self::assertSame([], Segments::of(''));
    }

    public function test_what_a_response_changes_is_known_without_saying_it(): void
    {
        self::assertSame(
            ['counter.planks', 'target.pebbles'],
            Response::of(
                '[add 1 to counter.planks][when no][take 1 from target.pebbles][end][add 2 to counter.planks]',
            )->changedPlaces(),
        );
    }

    /** @return list<Description> */
    private function described(): array
    {
        return array_merge(...array_values(Reference::described()));
    }

    private function now(): Moment
    {
        return Moment::fromIso(World::NOW) ?? throw new \LogicException('a moment');
    }
}
