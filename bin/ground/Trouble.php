<?php

declare(strict_types=1);

namespace Ground;

/** Something that stops bin/parrot: one plain sentence of what is wrong, and the way out. */
final class Trouble extends \RuntimeException
{
    public const GENERAL = 1;

    public const USAGE = 2;

    public const PORT_TAKEN = 3;

    public const NO_RIGHTS = 4;

    public const ALREADY_STARTING = 5;

    public const DISK_FULL = 6;

    public const BROKEN_SETTINGS = 7;

    public const NOT_READY = 8;

    public const INSTALL_FAILED = 9;

    private function __construct(string $sentence, public readonly string $wayOut, public readonly int $exitCode)
    {
        parent::__construct($sentence);
    }

    /** @param  list<string>  $verbs */
    public static function unknownVerb(string $verb, array $verbs): self
    {
        return new self(
            "bin/parrot cannot “{$verb}”.",
            'It can: '.implode(', ', $verbs).'. “bin/parrot help” tells what each does.',
            self::USAGE,
        );
    }

    /** @param  list<string>  $options */
    public static function unknownOption(string $typed, array $options): self
    {
        return new self(
            "“{$typed}” is not an option here.",
            $options === [] ? 'This takes no options.' : 'Options: '.implode(' ', $options),
            self::USAGE,
        );
    }

    public static function missingOption(string $option, string $what): self
    {
        return new self("{$what} is missing.", "Give {$option} and the name of {$what}.", self::USAGE);
    }

    public static function notAgreed(string $what): self
    {
        return new self(
            'Nothing was touched, since nobody agreed.',
            "{$what} would be replaced; say --yes if that is wanted.",
            self::USAGE,
        );
    }

    public static function notUp(): self
    {
        return new self('Silver Parrot is not running.', 'Start it first: bin/parrot up', self::NOT_READY);
    }

    public static function badPort(string $option, string $typed): self
    {
        return new self(
            "“{$typed}” is no port number.",
            "Give {$option}= a whole number from 1024 to 65535.",
            self::USAGE,
        );
    }

    public static function portTaken(int $port, string $what, string $option): self
    {
        return new self(
            "Port {$port} on 127.0.0.1, wanted for {$what}, is held by another program.",
            "End that program, or choose another port: bin/parrot up {$option}="
                .($port < 65535 ? $port + 1 : $port - 1),
            self::PORT_TAKEN,
        );
    }

    /** @param  list<string>  $packages */
    public static function noRights(array $packages): self
    {
        return new self(
            'System packages are missing, and you are neither root nor is there a sudo that lets you in without a '
                .'password.',
            'Ask somebody who may to run: apt-get install --no-install-recommends '.implode(' ', $packages),
            self::NO_RIGHTS,
        );
    }

    /** @param  list<string>  $packages */
    public static function declined(array $packages): self
    {
        return new self(
            'Nothing was installed, as you wished, and Silver Parrot cannot start without these packages.',
            'Install them yourself: apt-get install --no-install-recommends '.implode(' ', $packages),
            self::NO_RIGHTS,
        );
    }

    public static function notDebian(): self
    {
        return new self(
            'This machine has no dpkg-query, so it is not a Debian system.',
            'Silver Parrot is made for Debian 12.',
            self::NO_RIGHTS,
        );
    }

    public static function installFailed(string $what, string $log): self
    {
        return new self(
            "{$what} could not be installed.",
            "The last lines of {$log} say why; mend that and start again.",
            self::INSTALL_FAILED,
        );
    }

    /** @param  list<string>  $differences */
    public static function pinsDiffer(array $differences): self
    {
        return new self(
            'Composer packages differ from composer.pins: '.implode(', ', $differences).'.',
            'Without --exact the nearest later patch is taken; “bin/parrot pins --renew” writes what is newest.',
            self::INSTALL_FAILED,
        );
    }

    public static function alreadyStarting(string $what): self
    {
        return new self(
            "Another {$what} is under way for this project.",
            'Wait until it has ended, then ask again.',
            self::ALREADY_STARTING,
        );
    }

    public static function diskFull(string $folder): self
    {
        return new self(
            "The disk that holds {$folder} is full.",
            'Free at least 300 MB there, then start again; nothing that was saved is lost.',
            self::DISK_FULL,
        );
    }

    public static function cannotWrite(string $folder): self
    {
        return new self(
            "Nothing can be written in {$folder}.",
            'Give yourself the right to write there (it may belong to another user), then start again.',
            self::NO_RIGHTS,
        );
    }

    public static function brokenSettings(string $file, int $line, string $why): self
    {
        return new self(
            "Line {$line} of {$file} cannot be read: {$why}.",
            'Mend that line (NAME=value, values with spaces in double quotes), or move the file away: a new one is '
                .'made at the next start.',
            self::BROKEN_SETTINGS,
        );
    }

    public static function notReady(string $what, string $log): self
    {
        return new self("{$what} did not become ready.", "The last lines of {$log} say why.", self::NOT_READY);
    }

    public static function unexpected(string $message, string $log): self
    {
        return new self(
            'Something went wrong that was not foreseen: '.rtrim($message, '.').'.',
            "The details are in {$log}.",
            self::GENERAL,
        );
    }
}
