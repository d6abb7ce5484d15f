<?php

declare(strict_types=1);

namespace UpperPane\App\Entity;

use Doctrine\ORM\Mapping as ORM;
use Symfony\Component\Security\Core\User\PasswordAuthenticatedUserInterface;
use Symfony\Component\Security\Core\User\UserInterface;
use UpperPane\Core\Site\Role;

/** Someone who signs in. */
#[ORM\Entity, ORM\Table(name: 'person')]
class Person implements UserInterface, PasswordAuthenticatedUserInterface
{
    #[ORM\Id, ORM\GeneratedValue, ORM\Column]
    public int $id;

    public function __construct(
        #[ORM\Column(length: 120)] public string $name,
        #[ORM\Column(length: 190, unique: true)] public string $email,
        #[ORM\Column(length: 20, enumType: Role::class)] public Role $role,
        #[ORM\Column(length: 255)] public string $passwordHash = '',
    ) {
    }

    public function getPassword(): string
    {
        return $this->passwordHash;
    }

    public function getRoles(): array
    {
        return ['ROLE_'.strtoupper($this->role->value)];
    }

    public function getUserIdentifier(): string
    {
        return $this->email === '' ? throw new \LogicException('A person has an address.') : $this->email;
    }

    public function eraseCredentials(): void
    {
    }
}
