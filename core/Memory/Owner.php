<?php

declare(strict_types=1);

namespace SilverParrot\Memory;

use SilverParrot\Source\Fold;

/** Whose a remembered thing is. */
final readonly class Owner
{
    /** As keys write it: empty for the whole channel, "total", "category:planking", "viewer:account:odo". */
    public string $id;

    /** @param  string  $of  a folded category, or a person's id; empty for the others */
    private function __construct(public OwnerKind $kind, public string $of)
    {
        $this->id = match ($kind) {
            OwnerKind::Channel => '',
            OwnerKind::Total => $kind->value,
            default => "{$kind->value}:$of",
        };
    }

    public static function channel(): self
    {
        return new self(OwnerKind::Channel, '');
    }

    public static function total(): self
    {
        return new self(OwnerKind::Total, '');
    }

    public static function category(string $category): self
    {
        return new self(OwnerKind::Category, Fold::caseless($category));
    }

    public static function viewer(string $personId): self
    {
        return new self(OwnerKind::Viewer, $personId);
    }

    /** @return self|null null for what no owner is written as */
    public static function fromId(string $id): ?self
    {
        [$kind, $of] = explode(':', $id, 2) + [1 => ''];

        return match (true) {
            $id === '' => self::channel(),
            $id === OwnerKind::Total->value => self::total(),
            $of !== '' && $kind === OwnerKind::Category->value => new self(OwnerKind::Category, $of),
            $of !== '' && $kind === OwnerKind::Viewer->value => self::viewer($of),
            default => null,
        };
    }
}
