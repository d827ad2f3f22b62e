<?php

declare(strict_types=1);

namespace SilverParrot\Response\Reference;

use SilverParrot\Response\Vocabulary\Description;

/**
 * The forms of the language that are no names, verbs or filters, described as those describe themselves. One readable
 * table.
 */
final class Phrases
{
    /** @return list<Description> in the order in which one would learn them */
    public static function all(): array
    {
        return [
            new Description(
                'words',
                'a whole number, or two with “to” between',
                'a text',
                'For [words or "nobody"]',
                'What was typed after the trigger: all of it, from a word on, or from one word to another.',
            ),
            new Description(
                'word',
                'a whole number',
                'a text',
                'First [word 1 or "nothing"]',
                'One of the words that were typed after the trigger.',
            ),
            new Description(
                'or',
                'a value on both sides',
                'a value',
                '[target or "shore crew"]',
                'The left one where there is a value, else the right one; also where a look-up or a division fails.',
                also: ['default', 'fallback', 'otherwise'],
            ),
            new Description(
                'when',
                'a condition',
                'one of the texts',
                '[when counter.planks > 10]Fetch help![else]Not bad.[end]',
                'Says one text where the condition holds, another where it does not; ends with [end].',
                also: ['if', 'condition', 'else', 'unless'],
            ),
            new Description(
                'is',
                'a value on both sides',
                'yes or no',
                '[when channel.category is one of "Planking", "Caulking"]At work.[end]',
                'Compares without case: is, is not, is one of, <, <=, >, >=, contains, starts with, ends with.',
                also: ['equals', 'compare'],
            ),
            new Description(
                'and',
                'a condition on both sides',
                'yes or no',
                '[when caller.pebbles > 5 and not caller.boat]Buy a boat![end]',
                'Both hold; with “or”, either; with “not” before it, the opposite.',
                also: ['not', 'both'],
            ),
            new Description(
                'roll',
                'a whole number, or two with “to” between',
                'a whole number',
                'You rolled [roll 1 to 6]',
                'A random number, each equally likely.',
                also: ['random', 'dice', 'chance', 'percent', 'luck', 'number'],
            ),
            new Description(
                'either',
                'values with commas between',
                'one of the values',
                '[either "port", "starboard"]',
                'One of several at random, each equally likely.',
                also: ['random', 'pick', 'choose', 'choice'],
            ),
            new Description(
                'since',
                'a moment or an occasion',
                'a span',
                '[since occasion.leak] without a leak',
                'How long it is since then; counted in one unit with “in days”.',
                also: ['elapsed', 'days', 'passed'],
            ),
            new Description(
                'until',
                'a moment or an occasion',
                'a span',
                '[until occasion.launch] until the launch',
                'How long it is until then.',
                also: ['countdown'],
            ),
            new Description(
                'top',
                'how many, “by”, and a field that holds numbers',
                'a list of persons',
                'The richest: [top 3 by pebbles | scores]',
                'Who has the most of something, best first; “points” is another name for the first unit.',
                also: ['leaderboard', 'ranking', 'best', 'most'],
            ),
            new Description(
                'as',
                'a name of your own',
                'the value',
                '[roll 1 to 100 as luck]%[when luck > 90], a fair wind![end]',
                'Names a slot’s value for the rest of the response.',
                also: ['variable', 'remember'],
            ),
            new Description(
                '+',
                'numbers, or a moment and a length of time',
                'a number or a moment',
                '[counter.planks * 2 + 1]',
                'Counts exactly: + - * / and % for what is left of a division. A moment moves by a length like "2 '
                    .'days": days and longer by the calendar, hours exactly.',
                also: ['math', 'calculate', 'minus', 'times', 'divide'],
            ),
        ];
    }
}
