<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\TestCase;

/** No byte-wise function of PHP meets people's text in the core, where it could leave half a letter behind. */
final class WholeLettersTest extends TestCase
{
    /** What counts in bytes, or takes its characters byte by byte. */
    private const BYTE_WISE = [
        'substr',
        'substr_replace',
        'substr_count_chars',
        'str_split',
        'strrev',
        'str_pad',
        'wordwrap',
        'chunk_split',
        'strcspn',
        'strspn',
        'strpbrk',
        'ucwords',
        'lcfirst',
        'similar_text',
        'levenshtein',
        'soundex',
        'metaphone',
        'count_chars',
        'str_word_count',
        'nl2br',
        'stripos',
        'stristr',
        'strripos',
        'substr_compare',
        'strncmp',
        'strncasecmp',
        'mb_strcut',
        'utf8_decode',
        'utf8_encode',
        'html_entity_decode',
        'vsprintf',
        'addcslashes',
        'stripcslashes',
    ];

    /** Files that use some all the same, each with why no letter is halved there. */
    private const ALLOWED = [
        'Chance/Shuffled.php' => 'a digest',
        'Chat/Addresses.php' => 'cuts at places that a regular expression with /u has found',
        'Chat/Wire/Inbound.php' => 'cuts bytes before they are made UTF-8; mb_strcut cuts between letters',
        'Chat/Wire/IrcLine.php' => 'a line of the wire is bytes; it is divided at ASCII signs',
        'Checks/AddressFindings.php' => 'places of a regular expression with /u',
        'Checks/AddressStuck.php' => 'places of a regular expression with /u',
        'Checks/Checks.php' => 'takes a written beginning away',
        'Checks/DayThatHasPassed.php' => 'places of a regular expression with /u',
        'Checks/EmoteMisspelt.php' => 'places of a regular expression with /u',
        'Checks/EmoteNotForThem.php' => 'places of a regular expression with /u',
        'Checks/EmoteStuck.php' => 'places of a regular expression with /u',
        'Checks/ForeignSlot.php' => 'places of a regular expression with /u',
        'Checks/LeftAsPlaceholder.php' => 'places of a regular expression with /u',
        'Checks/StrayBracket.php' => 'places of a regular expression with /u',
        'Lookup/Paths/TextPaths.php' => 'cuts between two texts that were found',
        'Lookup/NearNetworks.php' => 'bytes of an address',
        'Source/Truncator.php' => 'cuts at ends of graphemes, and at ASCII spaces',
        'Outbox/MessageFragment.php' => 'cuts where addresses begin and end',
        'Hearing/Phrases/LineWords.php' => 'ASCII alone comes there',
        'Hearing/TriggerMatch.php' => 'takes the ASCII before a blank',
        'Pack/Import/PastedTable.php' => 'mb_strcut cuts between letters',
        'Format/Differences.php' => 'a digest',
        'Rehearsal/ChatFile.php' => 'takes an ASCII sign away',
        'Rehearsal/LongestAnswer.php' => 'a name of our own',
        'Rehearsal/InitialState.php' => 'takes a written beginning away',
        'Document/DuplicateKeys.php' => 'cuts at ASCII signs',
        'Response/Vocabulary/Filters/Title.php' => 'takes the first grapheme away',
        'Response/Parsing/Lexer.php' => 'reads ASCII signs, and bytes between them that are put together again',
        'Response/Vocabulary/Names/Target.php' => 'takes “@” away',
        'Response/Parsing/OperandParser.php' => 'digits',
        'Response/Analysis/Lengths.php' => 'digits',
        'Response/Parsing/Parser.php' => 'cuts at brackets',
        'Response/Segments.php' => 'cuts at brackets',
        'Response/Parsing/FilterParser.php' => 'an example of our own',
        'Source/Source.php' => 'the one place that knows bytes and characters',
        'Value/Number.php' => 'digits',
    ];

    public function test_byte_wise_functions_stand_only_where_no_letter_is_halved(): void
    {
        $found = [];
        foreach (self::files() as $name => $text) {
            foreach (self::byteWise($text) as $function) {
                $found[$name][] = $function;
            }
        }
        self::assertSame([], array_diff_key($found, self::ALLOWED), 'use mb_ or grapheme_ functions, or TextTrimmer');
        self::assertSame([], array_diff_key(self::ALLOWED, $found), 'these use none any more');
    }

    public function test_what_is_trimmed_off_is_written_out_in_ascii(): void
    {
        $finder = new NodeFinder;
        foreach (self::files() as $name => $text) {
            $tree = (new ParserFactory)->createForHostVersion()->parse($text) ?? [];
            foreach ($finder->findInstanceOf($tree, Node\Expr\FuncCall::class) as $call) {
                if (
                    $call->name instanceof Node\Name
                    && in_array($call->name->toString(), ['trim', 'ltrim', 'rtrim', 'chop'], true)
                    && isset($call->args[1])
                ) {
                    $signs = $call->args[1] instanceof Node\Arg ? $call->args[1]->value : null;
                    $written = match (true) {
                        $signs instanceof Node\Scalar\String_ => $signs->value,
                        $signs instanceof Node\Expr\ClassConstFetch
                            && $signs->name instanceof Node\Identifier => self::constant(
                                $finder,
                                $tree,
                                $signs->name->toString(),
                            ),
                        default => null,
                    };
                    self::assertNotNull($written, "$name: what is trimmed off cannot be seen here");
                    // A letter of several bytes would be taken off byte by byte, and half of another with it.
                    self::assertTrue(mb_check_encoding($written, 'ASCII'), "$name trims off “{$written}”");
                }
            }
        }
    }

    public function test_a_fixture_that_cuts_letters_in_two_is_found(): void
    {
        self::assertSame(
            ['substr', 'ucwords'],
            self::byteWise('<?php namespace X; echo \substr($a, 0, 3) . ucwords($b) . mb_substr($c, 1);'),
        );
    }

    /** @return array<string, string> sources by their names in the core */
    private static function files(): array
    {
        $core = dirname(__DIR__, 2).'/core/';
        $files = [];
        $inside = new \RecursiveDirectoryIterator($core, \FilesystemIterator::SKIP_DOTS);
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator($inside) as $file) {
            if ($file->getExtension() === 'php') {
                $files[substr($file->getPathname(), strlen($core))] = (string) file_get_contents($file->getPathname());
            }
        }
        ksort($files);

        return $files;
    }

    /** @return list<string> */
    private static function byteWise(string $source): array
    {
        $calls = (new NodeFinder)->find(
            (new ParserFactory)->createForHostVersion()->parse($source) ?? [],
            static fn (Node $node): bool => $node instanceof Node\Expr\FuncCall
                && $node->name instanceof Node\Name
                && in_array(strtolower($node->name->getLast()), self::BYTE_WISE, true),
        );

        return array_map(
            static fn (Node $call): string => $call instanceof Node\Expr\FuncCall && $call->name instanceof Node\Name
                ? strtolower($call->name->getLast())
                : '',
            array_values($calls),
        );
    }

    /** @param  array<Node>  $tree */
    private static function constant(NodeFinder $finder, array $tree, string $name): ?string
    {
        foreach ($finder->findInstanceOf($tree, Node\Const_::class) as $constant) {
            if ($constant->name->toString() === $name && $constant->value instanceof Node\Scalar\String_) {
                return $constant->value->value;
            }
        }

        return null;
    }
}
