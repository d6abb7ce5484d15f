<?php

declare(strict_types=1);

use Symfony\Component\DependencyInjection\Loader\Configurator\ContainerConfigurator;
use UpperPane\Demo\DemoCommand;

/* The demo is there where development's libraries are; an installation without them does not know it. */
return static function (ContainerConfigurator $container): void {
    if (!class_exists(DemoCommand::class)) {
        return;
    }
    $services = $container->services()->defaults()->autowire()->autoconfigure()
        ->bind('string $varDir', '%env(UPPER_PANE_VAR)%');
    $services->set(DemoCommand::class);
};
