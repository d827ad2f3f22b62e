<?php

declare(strict_types=1);

namespace App\Console;

use App\Rehearse\InParallel;
use App\Rehearse\JUnit;
use Illuminate\Contracts\View\Factory;
use SilverParrot\Figures\Evening;
use SilverParrot\Figures\EveningReport;
use SilverParrot\Figures\EveningRun;
use SilverParrot\Figures\Ranges;
use SilverParrot\Pack\Pack;
use SilverParrot\Rehearsal\ChatFile;
use SilverParrot\Rehearsal\Crowd\Crowd;
use SilverParrot\Rehearsal\Crowd\CrowdDescription;
use SilverParrot\Rehearsal\Crowd\CrowdFormat;
use SilverParrot\Rehearsal\Crowd\CrowdPreset;
use SilverParrot\Rehearsal\Heard;
use SilverParrot\Rehearsal\InitialState;
use SilverParrot\Rehearsal\MemoryFormat;
use SilverParrot\Rehearsal\Rehearsal;
use SilverParrot\Rehearsal\Runner;
use SilverParrot\Rehearsal\Scripts\Checked;
use SilverParrot\Rehearsal\Scripts\ReadScript;
use SilverParrot\Rehearsal\Scripts\ScriptFormat;
use SilverParrot\Rehearsal\Scripts\ScriptResult;
use SilverParrot\Rehearsal\Scripts\ScriptRun;
use SilverParrot\Source\Finding;
use SilverParrot\Source\Limits;
use SilverParrot\Source\Wording;
use SilverParrot\Value\Moment;
use Symfony\Component\Console\Helper\ProgressBar;
use Symfony\Component\Console\Output\ConsoleOutputInterface;

final class RehearseCommand extends CoreCommand
{
    /** Evenings of one run. */
    private const MOST_SEEDS = 1_000;

    protected $signature = 'parrot:rehearse
        {pack : a pack document}
        {chat? : a chat as lines}
        {--script=* : a script; several may be given}
        {--crowd= : a crowd document, or quiet, busy, raid, crowded}
        {--people= : how many people the crowd has}
        {--minutes= : how long it talks}
        {--lines= : how many lines it writes}
        {--seed=1 : the same seed says the same words}
        {--seeds= : several evenings of a crowd, as in 1-20}
        {--now= : the moment of the start, ISO 8601}
        {--memory= : a memory document}
        {--readings= : recorded answers of look-ups, or troubles}
        {--profile=stream : the chat profile}
        {--report= : a file for the whole report: .json, .xml (JUnit) or .html}
        {--json : the figures, for machines}';

    protected $description = 'Run a chat, scripts or a crowd through a pack, without a database';

    public function handle(Wording $wording, Factory $views): int
    {
        $began = hrtime(true);
        $this->isOneWay();
        $report = $this->reportForm();
        [$pack, $flaws] = $this->pack($this->argument('pack'));
        $memory = $this->text('memory');
        [$situation, $more] = $memory === '' ? [new InitialState, []] : MemoryFormat::read($this->file($memory), $pack);
        [$situation, $unread] = $this->answered($situation, $pack);
        $findings = [...$flaws, ...$more, ...$unread];
        $chat = $this->argument('chat');
        $rehearsed = match (true) {
            $this->scripts() !== [] => $this->ofScripts($pack, $findings, $wording),
            is_string($chat) => $this->ofChat($chat, $pack, $situation, $findings, $wording),
            default => $this->ofCrowd($pack, $situation, $findings, $wording),
        };
        if ($rehearsed === null) {
            return self::INVALID;
        }
        if ($report !== '') {
            $this->keep($report, $rehearsed, $wording, $views);
        }
        if ($this->option('json') === true) {
            $this->json($rehearsed->isOfSeeds() ? $rehearsed->told : EveningReport::short($rehearsed->told) + [
                'milliseconds' => intdiv(hrtime(true) - $began, 1_000_000),
            ]);
        } else {
            $this->tellRun($rehearsed, $wording);
        }

        return $rehearsed->holds() ? self::SUCCESS : self::FAILURE;
    }

    private function isOneWay(): void
    {
        $ways = array_filter([
            is_string($this->argument('chat')),
            $this->scripts() !== [],
            $this->text('crowd') !== '',
        ]);
        if (count($ways) !== 1) {
            throw BadArgument::oneWay();
        }
    }

    /** @return string what the report is written in, by the end of its file's name; empty for none */
    private function reportForm(): string
    {
        $form = pathinfo($this->text('report'), PATHINFO_EXTENSION);
        if ($this->text('report') !== '' && ! in_array($form, ['json', 'xml', 'html'], true)) {
            throw BadArgument::report($this->text('report'));
        }
        if ($form === 'xml' && $this->scripts() === []) {
            throw BadArgument::reportWithoutScripts();
        }

        return $form;
    }

    /** @return list<string> their files */
    private function scripts(): array
    {
        return array_values(array_filter((array) $this->option('script'), is_string(...)));
    }

    /**
     * @param  list<Finding>  $findings
     * @return Rehearsed|null null where something of it makes no sense, which was told; likewise the others
     */
    private function ofScripts(Pack $pack, array $findings, Wording $wording): ?Rehearsed
    {
        $scripts = [];
        foreach ($this->scripts() as $path) {
            [$script, $found] = ScriptFormat::read($this->file($path), $pack);
            array_push($findings, ...$found);
            if ($script !== null) {
                $scripts[] = $script;
            }
        }
        if ($this->refuses($findings)) {
            return null;
        }
        $run = new ScriptRun($pack, $this->profile(), $wording);
        $results = array_map($run->of(...), $scripts);

        $evening = $this->evening($pack, array_merge([], ...array_column($results, 'heard')));

        return new Rehearsed($this->report($evening, $wording, $results), results: $results);
    }

    /** @param  list<Finding>  $findings */
    private function ofChat(
        string $path,
        Pack $pack,
        InitialState $situation,
        array $findings,
        Wording $wording,
    ): ?Rehearsed {
        $file = ChatFile::read($this->file($path), Limits::REHEARSAL_FILE_LINES);
        if ($this->refuses([...$findings, ...$file->findings])) {
            return null;
        }
        $heard = Runner::run(
            new Rehearsal(
                $pack,
                $situation->withDetailsOf($pack),
                $this->text('seed', '1'),
                $this->profile(),
                traced: false,
                wording: $wording,
            ),
            $file->lines,
            $file->levels,
            $this->start(),
            $file->names,
        )->heard;

        return new Rehearsed($this->report($this->evening($pack, $heard), $wording), $heard);
    }

    /** @param  list<Finding>  $findings */
    private function ofCrowd(Pack $pack, InitialState $situation, array $findings, Wording $wording): ?Rehearsed
    {
        [$crowd, $found] = $this->crowd();
        if ($this->refuses([...$findings, ...$found])) {
            return null;
        }
        $seeds = $this->seeds();
        if ($seeds !== null) {
            $runs = $this->runs($seeds, $pack, $situation, $wording, $crowd);

            return new Rehearsed([
                'runs' => array_map(static fn (string $run): mixed => json_decode($run), $runs),
                'ranges' => Ranges::of(array_map(self::decoded(...), $runs)),
            ]);
        }
        $bar = $this->bar($crowd->lines);
        $evening = $this->crowdEvening($pack, $situation, $wording, $crowd, $this->text('seed', '1'), static function (
            int $lines,
        ) use ($bar): bool {
            $bar?->setProgress($lines);

            return true;
        });
        $bar?->finish();

        return new Rehearsed($this->report($evening, $wording));
    }

    /**
     * @param  list<ScriptResult>  $results
     * @return array<string, mixed>
     */
    private function report(Evening $evening, Wording $wording, array $results = []): array
    {
        return EveningReport::of($evening, $wording) + ['expectations' => $this->expectations($results, $wording)];
    }

    /** @param  list<Finding>  $findings */
    private function refuses(array $findings): bool
    {
        $this->tell($findings);

        return $findings !== [];
    }

    private function isTold(): bool
    {
        return $this->option('json') !== true;
    }

    private function start(): Moment
    {
        return $this->text('now') === ''
            ? Moment::fromIso(ReadScript::START) ?? new Moment(0)
            : $this->moment();
    }

    /** @param  list<Heard>  $heard */
    private function evening(Pack $pack, array $heard): Evening
    {
        $evening = new Evening($pack, $this->profile(), $this->start());
        array_map($evening->take(...), $heard);
        $evening->end(0);

        return $evening;
    }

    /** @return array{CrowdDescription, list<Finding>} */
    private function crowd(): array
    {
        $named = $this->text('crowd');
        $preset = CrowdPreset::tryFrom($named);
        if ($preset === null && ! is_file($named)) {
            throw BadArgument::crowd($named, array_column(CrowdPreset::cases(), 'value'));
        }
        [$crowd, $findings] = $preset !== null
            ? [$preset->description(), []]
            : CrowdFormat::read($this->file($named));

        return [$crowd->sized(
            $this->number('people', CrowdDescription::MOST_PEOPLE),
            $this->number('minutes', CrowdDescription::LONGEST_MINUTES),
            $this->number('lines', CrowdDescription::MOST_LINES),
        ), $findings];
    }

    private function number(string $option, int $most): ?int
    {
        $text = $this->text($option);
        if ($text === '') {
            return null;
        }
        $number = strlen($text) < 10 && ctype_digit($text) ? (int) $text : 0;

        return $number >= 1 && $number <= $most ? $number : throw BadArgument::number($option, $most);
    }

    /** @return list<string>|null null where there is to be one evening */
    private function seeds(): ?array
    {
        $text = $this->text('seeds');
        if ($text === '') {
            return null;
        }
        if (preg_match('/^(\d{1,9})-(\d{1,9})$/D', $text, $part) !== 1) {
            throw BadArgument::seeds(self::MOST_SEEDS);
        }
        [$from, $to] = [(int) $part[1], (int) $part[2]];
        if ($to < $from || $to - $from >= self::MOST_SEEDS) {
            throw BadArgument::seeds(self::MOST_SEEDS);
        }

        return array_map(strval(...), range($from, $to));
    }

    /** @param  \Closure(int): bool|null  $goesOn */
    private function crowdEvening(
        Pack $pack,
        InitialState $situation,
        Wording $wording,
        CrowdDescription $crowd,
        string $seed,
        ?\Closure $goesOn = null,
    ): Evening {
        $run = new EveningRun($pack, EveningRun::live($situation, $this->start()), $this->profile(), $wording);

        return $run->hear(
            (new Crowd($crowd, $pack, $seed))->events($this->start()),
            $seed,
            $this->start(),
            $crowd->length(),
            $goesOn,
        );
    }

    /**
     * @param  list<string>  $seeds
     * @return non-empty-list<string> as JSON
     */
    private function runs(
        array $seeds,
        Pack $pack,
        InitialState $situation,
        Wording $wording,
        CrowdDescription $crowd,
    ): array {
        $bar = $this->bar(count($seeds));
        $runs = InParallel::map(
            $seeds,
            fn (string $seed): string => json_encode(['seed' => $seed] + EveningReport::short(EveningReport::figures(
                $this->crowdEvening($pack, $situation, $wording, $crowd, $seed),
            )), JSON_THROW_ON_ERROR),
            static function (int $done) use ($bar): void {
                $bar?->setProgress($done);
            },
        );
        $bar?->finish();

        return $runs === [] ? throw BadArgument::seeds(self::MOST_SEEDS) : $runs;
    }

    /** On a terminal alone. */
    private function bar(int $most): ?ProgressBar
    {
        $output = $this->output->getOutput();
        $errors = $output instanceof ConsoleOutputInterface ? $output->getErrorOutput() : $output;

        return stream_isatty(STDERR) && $this->isTold() ? new ProgressBar($errors, $most) : null;
    }

    /**
     * @param  list<ScriptResult>  $results
     * @return list<array<string, mixed>>
     */
    private function expectations(array $results, Wording $wording): array
    {
        $expectations = [];
        foreach ($results as $result) {
            foreach ($result->checked as $one) {
                $expectations[] = [
                    'script' => $result->script->title,
                    'at' => $one->part === null ? null : $one->millis,
                    'expects' => $one->expected::key(),
                    'holds' => $one->holds(),
                    'said' => $one->said,
                ] + ($one->unmet === null ? [] : ['because' => $wording->of($one->unmet)]);
            }
        }

        return $expectations;
    }

    private function keep(string $form, Rehearsed $rehearsed, Wording $wording, Factory $views): void
    {
        $text = match ($form) {
            'xml' => JUnit::of($rehearsed->results, $wording),
            'html' => $views->make('rehearse.report', [
                'report' => self::decoded(json_encode($rehearsed->told, JSON_THROW_ON_ERROR)),
            ])->render(),
            default => EveningReport::written($rehearsed->told),
        };
        if (@file_put_contents($this->text('report'), $text) === false) {
            throw BadArgument::unwritable($this->text('report'));
        }
    }

    /** @return array<string, mixed> */
    private static function decoded(string $json): array
    {
        /** @var array<string, mixed> $decoded */
        $decoded = json_decode($json, true, flags: JSON_THROW_ON_ERROR);

        return $decoded;
    }

    private function tellRun(Rehearsed $rehearsed, Wording $wording): void
    {
        foreach ($rehearsed->heard as $one) {
            $this->tellLine($one, $wording);
        }
        foreach ($rehearsed->results as $result) {
            $this->say(($result->holds() ? 'holds  ' : 'FAILS  ').$result->script->title);
            foreach (array_filter($result->checked, static fn (Checked $one): bool => ! $one->holds()) as $one) {
                $place = $one->part === null ? 'all of it' : '+'.intdiv($one->millis, 1000).'s';
                $this->say("    $place: ".($one->unmet === null ? '' : $wording->of($one->unmet)));
                foreach ($one->said as $text) {
                    $this->say("        → $text");
                }
            }
        }
        if ($rehearsed->heard === [] && $rehearsed->results === []) {
            $told = $rehearsed->told;
            $this->json($rehearsed->isOfSeeds() ? ['ranges' => $told['ranges']] : EveningReport::short($told));
        }
    }

    private function tellLine(Heard $heard, Wording $wording): void
    {
        $this->say(
            sprintf(
                '%7s %s: %s',
                '+'.intdiv($heard->line->millis, 1000).'s',
                $heard->by->name ?? '',
                $heard->number === null ? '…' : $heard->line->text,
            ),
        );
        foreach ($heard->outcome->texts() as $text) {
            $this->say("        → $text");
        }
        if ($heard->outcome->sayings === [] && $heard->outcome->command !== null) {
            $why = $heard->outcome->closed->reason ?? $heard->outcome->failed?->message();
            $this->say('        – '.($why === null ? 'nothing was said' : $wording->of($why)));
        }
    }
}
