<?php

declare(strict_types=1);

namespace Tests\Core\Memory;

use PHPUnit\Framework\TestCase;
use SilverParrot\Memory\InMemoryStore;
use SilverParrot\Memory\Store;

final class InMemoryStoreTest extends TestCase
{
    use StoreCases;

    protected function store(): Store
    {
        return new InMemoryStore;
    }
}
