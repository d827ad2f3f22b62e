<?php

declare(strict_types=1);

namespace App\Console;

use Illuminate\Console\Command;
use SilverParrot\Hearing\Gates\GateSettings;
use SilverParrot\Pack\Refusal;
use Symfony\Component\Console\Output\OutputInterface;

final class SchemaCommand extends Command
{
    protected $signature = 'parrot:schema';

    protected $description = 'Print the JSON Schema of what is set of a command’s gates; '
        .'docs/formats/gates.schema.json is made with it';

    public function handle(): int
    {
        $this->output->write(self::document(), false, OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }

    public static function document(): string
    {
        $schema = [
            '$schema' => 'https://json-schema.org/draft/2020-12/schema',
            '$id' => 'https://silver-parrot.example/formats/gates.schema.json',
            'title' => 'What is set of a command’s gates in a Silver Parrot pack; made by php artisan parrot:schema',
            'type' => 'object',
            'properties' => GateSettings::schema() + [
                'refusals' => self::replies([
                    'description' => 'false for silence, whatever the channel says',
                    'anyOf' => [['$ref' => 'pack.schema.json#/$defs/text'], ['const' => false]],
                ]),
            ],
            '$defs' => ['refusals' => self::replies(['$ref' => 'pack.schema.json#/$defs/text'])],
        ];

        return json_encode(
            $schema,
            JSON_THROW_ON_ERROR | JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES,
        )."\n";
    }

    /**
     * @param  array<string, mixed>  $reply  JSON Schema of one
     * @return array<string, mixed>
     */
    private static function replies(array $reply): array
    {
        return [
            'description' => 'what is said where a gate is closed',
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => array_map(static fn (Refusal $refusal): array => $reply, GateSettings::refusals()),
        ];
    }
}
