<?php

declare(strict_types=1);

namespace SilverParrot\Hearing\Gates;

use SilverParrot\Document\Document;
use SilverParrot\Document\DocumentError;
use SilverParrot\Lookup\Request;
use SilverParrot\Pack\Refusal;
use SilverParrot\Source\Fold;
use SilverParrot\Source\Message;
use SilverParrot\Value\Gap;

/**
 * Only in some of the channel's categories, or in all but some. Where the service does not say which it is, nobody is
 * refused for it.
 */
final readonly class InCategory extends GateSetting implements Gate
{
    /** Categories that one command may name. */
    public const MOST = 50;

    /** @param  list<string>  $names  none: in every category */
    public function __construct(public array $names = [], public bool $isExcept = false)
    {
    }

    public static function key(): string
    {
        return 'category';
    }

    public static function usual(): self
    {
        return new self;
    }

    public static function read(Document $at): self
    {
        $at->object(['only', 'except']);
        if ($at->has('only') && $at->has('except')) {
            $at->at('except')->flaw(DocumentError::OneTooMany, ['key' => 'except', 'other' => 'only']);
        }
        $isExcept = ! $at->has('only') && $at->has('except');
        $names = $at->at($isExcept ? 'except' : 'only');
        $read = array_map(static fn (Document $name): string => $name->text(100), $names->items(self::MOST));
        if ($read === []) {
            $names->flaw(DocumentError::NothingNamed, []);
        }

        return new self($read, $isExcept);
    }

    public function write(): ?array
    {
        return $this->names === [] ? null : [$this->isExcept ? 'except' : 'only' => $this->names];
    }

    public static function schema(): array
    {
        $names = [
            'type' => 'array',
            'minItems' => 1,
            'maxItems' => self::MOST,
            'items' => ['type' => 'string', 'maxLength' => 100],
        ];

        return [
            'description' => 'categories of the channel in which it may be used',
            'type' => 'object',
            'additionalProperties' => false,
            'properties' => ['only' => $names, 'except' => $names],
            'oneOf' => [['required' => ['only']], ['required' => ['except']]],
        ];
    }

    public static function typed(mixed $fields): mixed
    {
        if (! is_array($fields)) {
            return null;
        }
        $how = ($fields['how'] ?? '') === 'except' ? 'except' : 'only';

        return [$how => TypedFields::lines($fields['names'] ?? '')];
    }

    public static function condition(): string
    {
        return 'the category is right';
    }

    public function summary(): array
    {
        return $this->names === []
            ? []
            : [new Message('summary.'.$this->says(), ['categories' => implode(', ', $this->names)])];
    }

    public static function refusal(): Refusal
    {
        return new Refusal('category', 'In the wrong category', ['needs', 'has']);
    }

    public function gates(): array
    {
        return $this->names === [] ? [] : [$this];
    }

    public static function checks(): array
    {
        return [];
    }

    public function name(): string
    {
        return 'category';
    }

    public function stand(GateContext $context): Open|GateRefusal|Pending
    {
        $request = Request::channel('category');
        $category = $context->world->readings->read($request);
        if ($category instanceof Gap && $category->isPending()) {
            return Pending::request($request);
        }
        $isNamed =
            is_string($category)
            && in_array(Fold::caseless(trim($category)), array_map(Fold::caseless(...), $this->names), true);
        if (! is_string($category) || $isNamed !== $this->isExcept) {
            return new Open;
        }
        $names = implode(', ', $this->names);

        return new GateRefusal(
            $this->name(),
            'category',
            ['category' => $category, 'categories' => $names, 'first' => $this->names[0]],
            ['needs' => $this->isExcept ? '' : $names, 'has' => $category],
            self::refusal(),
            says: $this->says(),
        );
    }

    private function says(): string
    {
        return $this->isExcept ? 'category-except' : 'category';
    }
}
