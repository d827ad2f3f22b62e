<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use SilverParrot\Chat\ChatProfile;
use SilverParrot\Format\CannedAnswersFormat;
use SilverParrot\Format\PackFormat;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Source\Finding;
use SilverParrot\Value\Moment;
use Symfony\Component\Console\Exception\ExceptionInterface;
use Symfony\Component\Console\Input\InputInterface;
use Symfony\Component\Console\Output\ConsoleOutputInterface;
use Symfony\Component\Console\Output\OutputInterface;

/**
 * What the commands without a database have in common: files, findings, and exit code 2 for arguments that make no
 * sense.
 */
abstract class CoreCommand extends Command
{
    public function run(InputInterface $input, OutputInterface $output): int
    {
        try {
            return parent::run($input, $output);
        } catch (\RuntimeException|\LogicException $exception) {
            if (! $exception instanceof ExceptionInterface && ! $exception instanceof BadArgument) {
                throw $exception;
            }
            ($output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output)->writeln(
                $exception->getMessage(),
            );

            return self::INVALID;
        }
    }

    protected function text(string $option, string $default = ''): string
    {
        $value = $this->option($option);

        return is_string($value) ? $value : $default;
    }

    protected function file(string $path): string
    {
        $text = is_file($path) && is_readable($path) ? file_get_contents($path) : false;

        return $text === false ? throw BadArgument::unreadable($path) : $text;
    }

    protected function moment(): Moment
    {
        $text = $this->text('now');

        return $text === '' ? Moment::of(now()) : Moment::fromIso($text) ?? throw BadArgument::moment($text);
    }

    protected function profile(): ChatProfile
    {
        $name = $this->text('profile', 'stream');

        return ChatProfile::named($name) ?? throw BadArgument::profile($name, ChatProfile::names());
    }

    /** @return array{Pack, list<Finding>} */
    protected function pack(string $path): array
    {
        return PackFormat::read($this->file($path));
    }

    /** @return array{InitialState, list<Finding>} with the recorded answers that were given */
    protected function answered(InitialState $situation, Pack $pack): array
    {
        $path = $this->text('readings');
        if ($path === '') {
            return [$situation, []];
        }
        [$answers, $flaws] = CannedAnswersFormat::read($this->file($path), $pack->lookups, $this->moment());

        return [$situation->withAnswers($answers), $flaws];
    }

    /** @param  list<Finding>  $findings */
    protected function tell(array $findings): void
    {
        foreach ($findings as $finding) {
            $place = $finding->at.($finding->span === null ? '' : " [{$finding->span->from}-{$finding->span->to}]");
            $this->say(
                trim("{$finding->kind->severity()->value} {$finding->kind->code()} $place")
                    .": {$finding->sentence()}"
                    .($finding->mend() === '' ? '' : " {$finding->mend()}"),
            );
        }
    }

    /** A line as it stands: what people wrote may look like the console’s own marks. */
    protected function say(string $line): void
    {
        $this->output->writeln($line, OutputInterface::OUTPUT_RAW);
    }

    /** @param  array<string, mixed>  $report */
    protected function json(array $report): void
    {
        $this->output->writeln(
            json_encode(
                $report,
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
            ),
            OutputInterface::OUTPUT_RAW,
        );
    }
}
