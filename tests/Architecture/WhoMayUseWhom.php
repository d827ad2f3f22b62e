<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** Which classes may use which; run by the static analysis. Functions are looked at by PureCoreTest. */
final class WhoMayUseWhom
{
    #[TestRule]
    public function core_stands_alone(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('SilverParrot'))
            ->canOnlyDependOn()
            ->classes(
                Selector::inNamespace('SilverParrot'),
                Selector::inNamespace('Brick\Math'),
                Selector::inNamespace('Psr\Clock'),
                Selector::inNamespace('Symfony\Component\Yaml'),
                Selector::inNamespace('JmesPath'),
                Selector::inNamespace('GuzzleHttp\UriTemplate'),
                Selector::inNamespace('Symfony\Component\CssSelector'),
                Selector::inNamespace('Symfony\Component\DomCrawler'),
                Selector::inNamespace('Random'),
            )
            ->because('the rules of the job are plain PHP that runs without framework, database or network');
    }

    #[TestRule]
    public function harbour_uses_only_core(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Harbour'))
            ->shouldNotDependOn()
            ->classes(Selector::inNamespace('App'))
            ->because('the harbour plays the outside world');
    }

    #[TestRule]
    public function ground_uses_nothing_of_the_product(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('Ground'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('App'),
                Selector::inNamespace('SilverParrot'),
                Selector::inNamespace('Illuminate'),
                Selector::inNamespace('Symfony'),
            )
            ->because('bin/parrot runs before any package is installed');
    }

    #[TestRule]
    public function models_hold_no_rules(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('App\Models'))
            ->excluding(Selector::inNamespace('App\Models\Casts'))
            ->shouldNotDependOn()
            ->classes(
                Selector::inNamespace('SilverParrot\Hearing'),
                Selector::inNamespace('SilverParrot\Outbox'),
                Selector::inNamespace('App\Write'),
                Selector::inNamespace('App\Rehearse'),
            )
            ->because('a model is a row and its casts');
    }
}
