<?php

declare(strict_types=1);

namespace App\Air;

use Amp\Cancellation;
use SilverParrot\Chat\Wire\Inbound;
use SilverParrot\Source\Limits;

/** Details from the streaming service's web service, asked without stopping the loop. */
final readonly class Details
{
    /** Details of one channel or person that are kept; a service has fewer. */
    private const MOST = 40;

    public function __construct(private ServiceWeb $service)
    {
    }

    /** @return array<string, null|bool|int|string>|null null when they could not be had */
    public function ofChannel(string $login, Cancellation $within): ?array
    {
        return $this->get('/channels/'.rawurlencode($login), $within);
    }

    /**
     * @return array<string, null|bool|int|string>|null null when they could not be had; empty for somebody it does not
     *     know
     */
    public function ofPerson(string $login, Cancellation $within): ?array
    {
        return $this->get('/people/'.rawurlencode($login), $within);
    }

    /** @return array<string, null|bool|int|string>|null */
    private function get(string $path, Cancellation $within): ?array
    {
        [$status, $read] = $this->service->ask('GET', $path, $within);

        return match (true) {
            $status === 404 => [],
            $status === 200 && $read !== null => self::plain($read),
            default => null,
        };
    }

    /**
     * @param  array<array-key, mixed>  $read
     * @return array<string, null|bool|int|string> lists of texts with a line for each
     */
    public static function plain(array $read): array
    {
        $plain = [];
        foreach (array_slice($read, 0, self::MOST, true) as $name => $value) {
            if (is_array($value) && array_filter($value, is_string(...)) === $value) {
                $value = implode(
                    "\n",
                    array_map(
                        static fn (string $one): string => Inbound::text($one, Limits::NAME),
                        array_slice($value, 0, Limits::READING),
                    ),
                );
            } elseif (is_string($value)) {
                $value = Inbound::text($value, Limits::READING);
            }
            if (
                is_string($name)
                && strlen($name) <= Limits::NAME
                && ($value === null || is_bool($value) || is_int($value) || is_string($value))
            ) {
                $plain[$name] = $value;
            }
        }

        return $plain;
    }
}
