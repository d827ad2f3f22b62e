<?php

declare(strict_types=1);

namespace SilverParrot\Rehearsal\Crowd;

/** What people of a crowd say, and what they are called: all made up. */
final class CrowdWords
{
    public const NAMES = [
        'Tove', 'Rafe', 'Signe', 'Ivo', 'Nell', 'Cass', 'Bodil', 'Hale', 'Ruta', 'Finn', 'Greer', 'Maren', 'Alder',
        'Brisa', 'Corin', 'Delphi', 'Edda', 'Fenn', 'Gwil', 'Hesper', 'Isolde', 'Joss', 'Kester', 'Linnet', 'Merrin',
        'Nessa', 'Orla', 'Perran', 'Quince', 'Rowan', 'Senara', 'Talan', 'Ula', 'Veryan', 'Wenna', 'Yestin', 'Zennor',
    ];

    public const OF = ['', 'Rope', 'Tar', 'Oar', 'Keel', 'Gull', 'Buoy', 'Mast', 'Plank', 'Fathom', 'Lantern', 'Tide'];

    public const FACES = [':)', ':D', '<3', 'xD'];

    public const CHATTER = [
        'that {thing} looks {how} to me', 'the {thing} is {how} tonight', 'ha', 'mind the {thing}',
        'I had a {thing} like that once', 'more {thing} please', 'back from the {place}',
        'rain on the {place} here too',
        'my cat is asleep on the {thing}', 'nice {thing}', 'was it {how} yesterday as well',
        'the {place} is {how} today',
        'brb, kettle', 'who moved the {thing}', '{name} you missed the {thing}', 'I would have used a {thing}',
        'slow and steady', 'that went in well', 'oh no the {thing}', 'saw a {thing} at the {place} this morning',
        'lol', 'so {how}', 'good work on the {thing} today', 'still {how} after all that', 'tea with {name}? always',
    ];

    public const QUESTIONS = [
        'what wood is that?', 'how long until she floats?', 'is the {thing} {how} yet?', 'when does the {place} open?',
        'what is that {thing} for?', 'how old is she?', 'why is the {thing} so {how}?', 'which glue is that?',
    ];

    public const GREETINGS = ['good evening all', 'hi', 'hello hello', 'evening, shore crew', 'hey everybody', 'ahoy'];

    public const BACK = ['hi {name}', 'evening {name}', 'welcome back {name}', '@{name} hello'];

    public const SHOUTS = [
        'WHAT A {thing}', 'NO WAY', 'LOOK AT THE {thing}', 'SHE FLOATS', 'GO GO GO', 'THE {thing}!!!',
    ];

    public const LINKS = [
        'https://charts.lantern-cove.example/old', 'plans.boatshed.example/ketch?page=2',
        'seen this? https://gulls.example/watch', 'http://knots.example/bowline',
    ];

    public const OTHER = [
        'buenas noches a todos', 'was ist das für ein Holz?', 'bonsoir tout le monde', 'こんばんは', 'добрый вечер',
        'qual é o nome do barco?', 'god kväll', 'dobry wieczór wszystkim', '안녕하세요', 'καλησπέρα',
    ];

    /** What those try who want to see the parrot do what it should not. */
    public const TRICKS = [
        '[caller]', '[roll 1 to 100', '/ban {name}', '.timeout {name}', '! tide', '@everyone', '{{ 7 * 7 }}',
        '%0a!tide',
        "'; drop table counters; --", '[channel.title | upper]', '<b>bold</b>', "\u{202E}edit!", '!'."\u{200B}".'tide',
    ];

    public const ABOUT = [
        'is the parrot asleep?', 'good bird', 'the parrot said that already', 'who taught it that?', 'quiet, bird',
        'does it always answer?', 'I like the parrot', 'the parrot is broken again',
    ];

    public const RAID = [
        'the {place} is here!', 'RAID', 'ahoy from the {place}', 'hello hello', 'what are we building?',
    ];

    public const KINDS = [
        'thing' => [
            'plank', 'mast', 'joint', 'rope', 'hull', 'keel', 'varnish', 'splinter', 'plane', 'chisel', 'rib', 'seam',
            'mallet', 'gull', 'kettle', 'sail', 'block', 'cleat', 'oar', 'lamp',
        ],
        'how' => ['straight', 'lovely', 'dry', 'loud', 'crooked', 'tight', 'fine', 'odd', 'quiet', 'heavy', 'smooth'],
        'place' => ['slipway', 'shed', 'roof', 'quay', 'harbour', 'bar', 'island', 'loft', 'bench'],
    ];
}
