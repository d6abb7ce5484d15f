<?php

declare(strict_types=1);

namespace UpperPane\App;

use Symfony\Bundle\FrameworkBundle\Kernel\MicroKernelTrait;
use Symfony\Component\DependencyInjection\Compiler\CompilerPassInterface;
use Symfony\Component\DependencyInjection\ContainerBuilder;
use Symfony\Component\HttpKernel\Kernel as BaseKernel;

/** The Symfony application. All that may differ between two installations comes from the environment. */
final class Kernel extends BaseKernel implements CompilerPassInterface
{
    use MicroKernelTrait;

    public function getCacheDir(): string
    {
        return self::varDir($this->getProjectDir()).'/cache/'.$this->environment;
    }

    public function getLogDir(): string
    {
        return self::varDir($this->getProjectDir()).'/log';
    }

    /** Debian's password hasher is older than its console integration: that one command is left out. */
    protected function build(ContainerBuilder $container): void
    {
        $container->addCompilerPass($this, priority: 100);
    }

    public function process(ContainerBuilder $container): void
    {
        if ($container->hasDefinition('security.command.user_password_hash')) {
            $container->removeDefinition('security.command.user_password_hash');
        }
    }

    private static function varDir(string $projectDir): string
    {
        $set = $_SERVER['UPPER_PANE_VAR'] ?? getenv('UPPER_PANE_VAR');

        return is_string($set) && $set !== '' ? $set : $projectDir.'/var';
    }
}
