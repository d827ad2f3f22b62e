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
        $chat = $this->argument('chat');
        $scripts = array_values(array_filter((array) $this->option('script'), is_string(...)));
        $ways = (is_string($chat) ? 1 : 0) + ($scripts === [] ? 0 : 1) + ($this->text('crowd') === '' ? 0 : 1);
        if ($ways !== 1) {
            throw BadArgument::oneWay();
        }
        $report = pathinfo($this->text('report'), PATHINFO_EXTENSION);
        if ($this->text('report') !== '' && ! in_array($report, ['json', 'xml', 'html'], true)) {
            throw BadArgument::report($this->text('report'));
        }
        if ($report === 'xml' && $scripts === []) {
            throw BadArgument::reportWithoutScripts();
        }
        [$pack, $flaws] = $this->pack($this->argument('pack'));
        $memory = $this->text('memory');
        [$situation, $more] = $memory === '' ? [new InitialState, []] : MemoryFormat::read($this->file($memory), $pack);
        [$situation, $unread] = $this->answered($situation, $pack);
        $findings = [...$flaws, ...$more, ...$unread];
        $results = $heard = [];
        $runs = null;
        if ($scripts !== []) {
            [$read, $found] = $this->scripts($scripts, $pack);
            if ($this->refuses([...$findings, ...$found])) {
                return self::INVALID;
            }
            $run = new ScriptRun($pack, $this->profile(), $wording);
            $results = array_map($run->of(...), $read);
            $evening = $this->evening($pack, array_merge([], ...array_column($results, 'heard')));
        } elseif (is_string($chat)) {
            $file = ChatFile::read($this->file($chat), Limits::REHEARSAL_FILE_LINES);
            if ($this->refuses([...$findings, ...$file->findings])) {
                return self::INVALID;
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
            $evening = $this->evening($pack, $heard);
        } else {
            [$crowd, $found] = $this->crowd();
            if ($this->refuses([...$findings, ...$found])) {
                return self::INVALID;
            }
            $seeds = $this->seeds();
            if ($seeds === null) {
                $bar = $this->bar($crowd->lines);
                $evening = $this->crowdEvening($pack, $situation, $wording, $crowd, $this->text('seed', '1'), function (
                    int $lines,
                ) use ($bar): bool {
                    $bar?->setProgress($lines);

                    return true;
                });
                $bar?->finish();
            } else {
                $evening = null;
                $runs = $this->runs($seeds, $pack, $situation, $wording, $crowd);
            }
        }
        $told = $runs !== null
            ? [
                'runs' => array_map(static fn (string $run): mixed => json_decode($run), $runs),
                'ranges' => Ranges::of(array_map(self::decoded(...), $runs)),
            ]
            : EveningReport::of($evening, $wording) + ['expectations' => $this->expectations($results, $wording)];
        if ($report !== '') {
            $this->keep($report, $told, $results, $wording, $views);
        }
        if ($this->option('json') === true) {
            $this->json($runs !== null ? $told : self::short($told) + [
                'milliseconds' => intdiv(hrtime(true) - $began, 1_000_000),
            ]);
        } else {
            $this->tellRun($heard, $results, $told, $wording);
        }

        return array_filter($results, static fn (ScriptResult $one): bool => ! $one->holds()) === []
            ? self::SUCCESS
            : self::FAILURE;
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

    /**
     * @param  list<string>  $paths
     * @return array{list<ReadScript>, list<Finding>}
     */
    private function scripts(array $paths, Pack $pack): array
    {
        $scripts = $findings = [];
        foreach ($paths as $path) {
            [$script, $found] = ScriptFormat::read($this->file($path), $pack);
            array_push($findings, ...$found);
            if ($script !== null) {
                $scripts[] = $script;
            }
        }

        return [$scripts, $findings];
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
            fn (string $seed): string => json_encode(['seed' => $seed] + self::short(EveningReport::figures(
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
     * @param  array<string, mixed>  $figures
     * @return array<string, mixed>
     */
    private static function short(array $figures): array
    {
        return array_intersect_key($figures, array_flip([
            'lines',
            'said',
            'closed',
            'failed',
            'share',
            'commands',
            'expectations',
        ]));
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

    /**
     * @param  array<string, mixed>  $told
     * @param  list<ScriptResult>  $results
     */
    private function keep(string $kind, array $told, array $results, Wording $wording, Factory $views): void
    {
        $text = match ($kind) {
            'xml' => JUnit::of($results, $wording),
            'html' => $views->make('rehearse.report', [
                'report' => self::decoded(json_encode($told, JSON_THROW_ON_ERROR)),
            ])->render(),
            default => json_encode(
                $told,
                JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_PRETTY_PRINT,
            )."\n",
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

    /**
     * @param  list<Heard>  $heard
     * @param  list<ScriptResult>  $results
     * @param  array<string, mixed>  $told
     */
    private function tellRun(array $heard, array $results, array $told, Wording $wording): void
    {
        foreach ($heard as $one) {
            $this->tellLine($one, $wording);
        }
        foreach ($results as $result) {
            $this->say(($result->holds() ? 'holds  ' : 'FAILS  ').$result->script->title);
            foreach (array_filter($result->checked, static fn (Checked $one): bool => ! $one->holds()) as $one) {
                $place = $one->part === null ? 'all of it' : '+'.intdiv($one->millis, 1000).'s';
                $this->say("    $place: ".($one->unmet === null ? '' : $wording->of($one->unmet)));
                foreach ($one->said as $text) {
                    $this->say("        → $text");
                }
            }
        }
        if ($heard === [] && $results === []) {
            $this->json(isset($told['runs']) ? ['ranges' => $told['ranges']] : self::short($told));
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
