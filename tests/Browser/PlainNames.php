<?php

declare(strict_types=1);

namespace Tests\Browser;

use Composer\InstalledVersions;

/**
 * The classes that drive the browser under names that say what they are; their package keeps them in a namespace that
 * does not.
 */
final class PlainNames
{
    private const CLASSES = [
        'Chrome\ChromeDevToolsDriver',
        'Chrome\ChromeOptions',
        'Exception\Internal\WebDriverCurlException',
        'Exception\WebDriverException',
        'Remote\DesiredCapabilities',
        'Remote\RemoteWebDriver',
        'Remote\RemoteWebElement',
        'WebDriverBy',
        'WebDriverKeys',
    ];

    /** Once, before any of them is used: a type or a catch does not look for classes. */
    public static function give(): void
    {
        if (class_exists('WebDriver\WebDriverBy', false)) {
            return;
        }
        $package = json_decode(
            (string) file_get_contents(InstalledVersions::getInstallPath('php-webdriver/webdriver').'/composer.json'),
            true,
            flags: JSON_THROW_ON_ERROR,
        );
        $namespace = array_key_first($package['autoload']['psr-4']);
        foreach (self::CLASSES as $class) {
            class_alias($namespace.$class, "WebDriver\\$class");
        }
    }
}
