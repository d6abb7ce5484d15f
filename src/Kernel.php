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

    private const LEAST_SECRET = 32;

    public function getCacheDir(): string
    {
        return self::varDir($this->getProjectDir()).'/cache/'.$this->environment;
    }

    public function getLogDir(): string
    {
        return self::varDir($this->getProjectDir()).'/log';
    }

    /** A secret that everybody knows is none: without one of its own no page is served. */
    public function boot(): void
    {
        $secret = (string) ($_SERVER['UPPER_PANE_SECRET'] ?? getenv('UPPER_PANE_SECRET'));
        if ($this->environment === 'prod' && \PHP_SAPI !== 'cli' && strlen($secret) < self::LEAST_SECRET) {
            throw new \RuntimeException(
                'UPPER_PANE_SECRET is not set, or shorter than '.self::LEAST_SECRET.' characters. See docs/running.md.',
            );
        }
        parent::boot();
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
