<?php

declare(strict_types=1);

namespace UpperPane\App\Security;

use Symfony\Bundle\SecurityBundle\Security;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use UpperPane\App\Entity\Person;
use UpperPane\App\Problem\Problem;
use UpperPane\App\UseCase\Gate;
use UpperPane\Core\Site\Role;

/**
 * Every route's rights, from the one table in config/rights.php; a route that is not in it is closed to all. Writes of
 * people must carry the session's CSRF token.
 */
#[AsEventListener(priority: 4)]
final readonly class RightsListener
{
    public const PUBLIC = 'public';
    public const PLAYER = 'player';

    public function __construct(private Security $security, private Gate $gate, private string $projectDir)
    {
    }

    public function __invoke(RequestEvent $event): void
    {
        $request = $event->getRequest();
        $route = $request->attributes->get('_route');
        if (!is_string($route) || !$event->isMainRequest()) {
            return;
        }
        $rights = (require $this->projectDir.'/config/rights.php')[$route] ?? [];
        if ($rights === self::PUBLIC || $rights === self::PLAYER) {
            return;
        }
        $person = $this->security->getUser();
        if (!$person instanceof Person) {
            $event->setResponse(Problem::response(401, 'session.needed'));
        } elseif (!$this->isOneOf($person, $rights)) {
            $event->setResponse(Problem::response(403, 'right.missing', '', ['role' => $person->role->value]));
        } elseif (
            !$request->isMethodSafe()
            && !hash_equals(
                (string) $request->getSession()->get(PasswordAuthenticator::CSRF, ''),
                (string) $request->headers->get('X-Csrf-Token'),
            )
        ) {
            $event->setResponse(Problem::response(403, 'session.csrf'));
        }
    }

    /** @param list<Role> $roles whoever is one of them somewhere comes in; where, the use case asks */
    private function isOneOf(Person $person, array $roles): bool
    {
        if (in_array($person->role, $roles, true)) {
            return true;
        }
        foreach ($this->gate->roles($person) as $role) {
            if (in_array($role, $roles, true)) {
                return true;
            }
        }

        return false;
    }
}
