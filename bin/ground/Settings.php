<?php

declare(strict_types=1);

namespace Ground;

/** The .env file: made at the first start, read and mended line by line afterwards, never rewritten whole. */
final class Settings
{
    /** @param  array<string, string>  $values */
    private function __construct(private readonly string $file, private array $values)
    {
    }

    public static function open(Paths $paths): self
    {
        $template = (string) file_get_contents($paths->project.'/.env.example');
        if (! is_file($paths->settings)) {
            Disk::write($paths->settings, $template);
        }
        $settings = new self($paths->settings, self::read($paths->settings));
        $settings->needs('APP_KEY', static fn (): string => 'base64:'.base64_encode(random_bytes(32)));
        $settings->needs('DB_PASSWORD', static fn (): string => bin2hex(random_bytes(16)));
        $settings->needs('HARBOUR_KEY', static fn (): string => bin2hex(random_bytes(16)));
        $settings->needs('HARBOUR_PARROT_KEY', static fn (): string => bin2hex(random_bytes(16)));
        foreach (
            [
                'DB_PORT' => 3307,
                'HARBOUR_CHAT_PORT' => 16680,
                'HARBOUR_DETAILS_PORT' => 16780,
                'AIR_STREAM_PORT' => 16880,
            ] as $name => $port
        ) {
            $settings->needs($name, static fn (): string => (string) Port::near($port));
        }
        foreach (self::parse($template, '.env.example') as $name => $value) {
            $settings->needs($name, static fn (): string => $value);
        }

        return $settings;
    }

    public function get(string $name): string
    {
        return $this->values[$name] ?? '';
    }

    public function port(string $name): int
    {
        $text = $this->get($name);
        if (! ctype_digit($text) || (int) $text < 1024 || (int) $text > 65535) {
            throw Trouble::brokenSettings(
                $this->file,
                $this->lineOf($name),
                "{$name} must be a whole number from 1024 to 65535",
            );
        }

        return (int) $text;
    }

    public function put(string $name, string $value): void
    {
        if ($this->get($name) === $value) {
            return;
        }
        $lines = explode("\n", rtrim((string) file_get_contents($this->file), "\n"));
        $line = $this->lineOf($name);
        $written =
            preg_match('/^[A-Za-z0-9_:\/.+=-]*$/', $value) === 1
                ? "$name=$value"
                : $name.'="'.addcslashes($value, '"\\$').'"';
        if ($line > 0) {
            $lines[$line - 1] = $written;
        } else {
            $lines[] = $written;
        }
        Disk::write($this->file, implode("\n", $lines)."\n");
        $this->values[$name] = $value;
    }

    /** @param  callable(): string  $make */
    private function needs(string $name, callable $make): void
    {
        if ($this->get($name) === '' && ($value = $make()) !== '') {
            $this->put($name, $value);
        }
    }

    private function lineOf(string $name): int
    {
        foreach (explode("\n", (string) file_get_contents($this->file)) as $index => $line) {
            if (str_starts_with(ltrim($line), $name.'=')) {
                return $index + 1;
            }
        }

        return 0;
    }

    /** @return array<string, string> */
    private static function read(string $file): array
    {
        $text = @file_get_contents($file);
        if ($text === false) {
            throw Trouble::cannotWrite($file);
        }

        return self::parse($text, $file);
    }

    /**
     * The part of the .env form that our own file uses. Laravel reads the same file with a parser that knows more;
     * what is refused here would stop it with a stack trace.
     *
     * @return array<string, string>
     */
    private static function parse(string $text, string $file): array
    {
        $values = [];
        foreach (explode("\n", $text) as $index => $line) {
            $line = trim($line);
            if ($line === '' || $line[0] === '#') {
                continue;
            }
            [$name, $value] = array_map('trim', explode('=', $line, 2)) + [1 => ''];
            if (! str_contains($line, '=')) {
                throw Trouble::brokenSettings($file, $index + 1, 'there is no “=” in it');
            }
            if (preg_match('/^[A-Z][A-Z0-9_]*$/D', $name) !== 1) {
                throw Trouble::brokenSettings($file, $index + 1, 'a name has capital letters, digits and “_” only');
            }
            if ($value !== '' && ($value[0] === '"' || $value[0] === "'")) {
                if (strlen($value) < 2 || ! str_ends_with($value, $value[0])) {
                    throw Trouble::brokenSettings($file, $index + 1, 'a quote mark is opened and not closed');
                }
                $value = stripcslashes(substr($value, 1, -1));
            } elseif (preg_match('/\s/', $value) === 1) {
                throw Trouble::brokenSettings($file, $index + 1, 'a value with spaces needs double quotes');
            }
            $values[$name] = $value;
        }

        return $values;
    }
}
