<?php

declare(strict_types=1);

namespace App\Console;

/** An argument that makes no sense: one plain sentence, exit code 2. */
final class BadArgument extends \RuntimeException
{
    public static function unreadable(string $path): self
    {
        return new self("There is no file {$path} that can be read.");
    }

    public static function moment(string $text): self
    {
        return new self("--now={$text} is not a moment; write it as in 2026-11-25T09:00:00Z.");
    }

    /** @param  list<string>  $known */
    public static function profile(string $name, array $known): self
    {
        return new self("--profile={$name} is not known; there are: ".implode(', ', $known).'.');
    }

    /** @param  list<string>  $known */
    public static function level(string $word, array $known): self
    {
        return new self("--levels: there is no level “{$word}”; there are: ".implode(', ', $known).'.');
    }

    public static function nothingToSay(): self
    {
        return new self('Give --response=… to say one, or --pack=FILE with --line=… to hear a line.');
    }

    public static function both(): self
    {
        return new self('Give --response=… or --line=…, not both.');
    }

    /** @param  list<string>  $known */
    public static function noLookup(string $name, array $known): self
    {
        return new self("There is no look-up “{$name}” in the pack. There is: ".(implode(', ', $known) ?: 'none').'.');
    }

    public static function noAnswer(): self
    {
        return new self('Say where the answer is, --from=FILE, or --ask for it.');
    }

    /** @param  list<string>  $known */
    public static function parameter(string $name, array $known): self
    {
        return new self("There is no parameter “{$name}”. There is: ".(implode(', ', $known) ?: 'none').'.');
    }

    public static function notAdmitted(string $name): self
    {
        return new self("The parameter “{$name}” cannot be that.");
    }

    public static function resolves(string $text): self
    {
        return new self("“{$text}” is not NAME=IP,IP.");
    }

    public static function oneWay(): self
    {
        return new self('Say what is to be heard: a file with a chat, --script=FILE, or --crowd=FILE; one of them.');
    }

    /** @param  list<string>  $known */
    public static function crowd(string $name, array $known): self
    {
        return new self("There is no crowd “{$name}”, and no such file; there are: ".implode(', ', $known).'.');
    }

    public static function number(string $option, int $most): self
    {
        return new self("--{$option} is a whole number from 1 to {$most}.");
    }

    public static function seeds(int $most): self
    {
        return new self("--seeds is a range as in 1-20, of {$most} at most.");
    }

    public static function report(string $path): self
    {
        return new self("--report={$path} ends in none of .json, .xml, .html.");
    }

    public static function reportWithoutScripts(): self
    {
        return new self('A report in XML tells of scripts: give --script=FILE.');
    }

    public static function unwritable(string $path): self
    {
        return new self("{$path} cannot be written.");
    }
}
