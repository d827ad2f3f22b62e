<?php

declare(strict_types=1);

namespace App\Console;

use SilverParrot\Lookup\Address\AddressRefusal;
use SilverParrot\Lookup\Address\WebAddress;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Wording;

final class AddressCommand extends CoreCommand
{
    protected $signature = 'parrot:address
        {addresses* : web addresses}
        {--resolves=* : what a name leads to, as NAME=IP,IP}
        {--json : a report for machines}';

    protected $description = 'Say whether web addresses may be asked, without connecting';

    public function handle(Wording $wording): int
    {
        $resolves = $this->resolves();
        $told = [];
        foreach ($this->argument('addresses') as $address) {
            $refusal = self::refusal($address, $resolves);
            $told[] = [
                'url' => $address,
                'allowed' => $refusal === null,
                'code' => $refusal->value ?? 'allowed',
                'sentence' => $refusal === null ? 'This address can be asked.' : $wording->of($refusal->message()),
            ];
        }
        if ($this->option('json') === true) {
            $this->output->writeln(
                json_encode($told, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES
                    | JSON_INVALID_UTF8_SUBSTITUTE | JSON_PRETTY_PRINT),
                \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW,
            );
        } else {
            foreach ($told as $one) {
                $this->say("{$one['url']}: {$one['sentence']}");
            }
        }

        return array_filter($told, static fn (array $one): bool => ! $one['allowed']) === []
            ? self::SUCCESS
            : self::FAILURE;
    }

    /** @param  array<string, list<string>>  $resolves  by host */
    private static function refusal(string $address, array $resolves): ?AddressRefusal
    {
        $judged = WebAddress::of($address);

        return match (true) {
            $judged instanceof AddressRefusal => $judged,
            isset($resolves[$judged->host]) => $judged->leadingTo($resolves[$judged->host]),
            default => null,
        };
    }

    /** @return array<string, list<string>> */
    private function resolves(): array
    {
        $resolves = [];
        foreach ((array) $this->option('resolves') as $one) {
            [$name, $addresses] = explode('=', (string) $one, 2) + [1 => ''];
            if ($name === '' || $addresses === '') {
                throw BadArgument::resolves((string) $one);
            }
            $resolves[rtrim(Fold::caseless($name), '.')] = array_map(trim(...), explode(',', $addresses));
        }

        return $resolves;
    }
}
