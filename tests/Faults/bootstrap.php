<?php

declare(strict_types=1);

// The core and the application are taken from other folders than the project's own: asked first, before the map of
// classes.

require dirname(__DIR__, 2).'/vendor/autoload.php';

spl_autoload_register(static function (string $class): void {
    foreach (['SilverParrot\\' => 'core', 'App\\' => 'app'] as $space => $folder) {
        $file = getenv('PARROT_FAULTY')."/$folder/".str_replace('\\', '/', substr($class, strlen($space))).'.php';
        if (str_starts_with($class, $space) && is_file($file)) {
            require $file;
        }
    }
}, true, true);
