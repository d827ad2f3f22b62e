<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use SilverParrot\Response\Reference\Reference;
use Symfony\Component\Console\Output\OutputInterface;

final class ReferenceCommand extends Command
{
    protected $signature = 'parrot:reference';

    protected $description = 'Print the reference of the response language; docs/language.md is made with it';

    public function handle(): int
    {
        $this->output->write(self::page(), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    public static function page(): string
    {
        $page =
            "# The response language\n\nMade by `php artisan parrot:reference` from what the code says of itself. "
                ."Plain text is said as it stands; a slot in square\nbrackets is filled in; `[[` says one `[`. Every "
                ."example is run as a test.\n";
        foreach (Reference::described() as $heading => $all) {
            $page .= "\n## $heading\n\n| | takes | gives | |\n|---|---|---|---|\n";
            foreach ($all as $one) {
                $cell = static fn (string $text): string => str_replace('|', '\\|', $text);
                $parts =
                    $one->parts === [] || $one->tells !== []
                        ? ''
                        : ' Parts: '
                            .implode(' ', array_map(static fn (string $part): string => "`.$part`", $one->parts))
                            .'.';
                $nothing = $one->withNothing === '' ? '' : " With nothing it {$one->withNothing}.";
                $page
                    .= '| `'
                    .$cell($one->name)
                    .'` | '
                    .$cell($one->takes)
                    .' | '
                    .$cell($one->gives)
                    .' | '
                    .$cell(
                        $one->sentence.$nothing.$parts.($one->later === '' ? '' : " Comes later: {$one->later}"),
                    )
                    .' `` '
                    .$cell($one->example)
                    ." `` |\n";
            }
            foreach ($heading === 'Names' ? $all : [] as $one) {
                if ($one->tells !== [] && $one->name !== 'target') {
                    $page
                        .= "\nThe parts of `{$one->name}`"
                        .($one->name === 'caller' ? ', and of `target`' : '')
                        .":\n\n| | gives | |\n|---|---|---|\n";
                    foreach ($one->tells as $part => [$gives, $sentence]) {
                        $page .= "| `{$one->name}.$part` | $gives | $sentence |\n";
                    }
                }
            }
        }

        return $page;
    }
}
