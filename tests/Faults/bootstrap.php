<?php

declare(strict_types=1);

// The core is taken from another folder than the project's own: asked first, before the map of classes.

require dirname(__DIR__, 2).'/vendor/autoload.php';

spl_autoload_register(static function (string $class): void {
    $file = getenv('PARROT_CORE').'/'.str_replace('\\', '/', substr($class, strlen('SilverParrot\\'))).'.php';
    if (str_starts_with($class, 'SilverParrot\\') && is_file($file)) {
        require $file;
    }
}, true, true);
