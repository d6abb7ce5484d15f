<?php

declare(strict_types=1);

namespace UpperPane\Tests\Core\Site;

use PHPUnit\Framework\TestCase;
use UpperPane\Core\Site\Grants;
use UpperPane\Core\Site\Right;
use UpperPane\Core\Site\Role;
use UpperPane\Core\Site\Thing;

final class GrantsTest extends TestCase
{
    /** What a role on a thing allows there is what it allows on all that lies in it, and nothing elsewhere. */
    public function testARoleHoldsForWhatLiesInItsThing(): void
    {
        $board = Thing::surface('gate-1', ['g-gates000'])->document('d-1');
        $elsewhere = Thing::surface('hall', ['g-hall0000'])->document('d-2');
        foreach ($board->names as $on) {
            foreach (Role::cases() as $role) {
                $grants = new Grants([[$on, $role]]);
                foreach (Right::cases() as $right) {
                    self::assertSame($role->may($right), $grants->may($right, $board), "$role->value on $on");
                    self::assertSame(
                        $on === Thing::SITE || $right === Right::See ? $role->may($right) : false,
                        $grants->may($right, $elsewhere),
                    );
                }
            }
        }
        self::assertFalse((new Grants([]))->may(Right::See, Thing::site()));
    }

    /** One more role never takes anything away. */
    public function testRolesAddUp(): void
    {
        $thing = Thing::surface('gate-1', ['g-gates000']);
        $few = [['surface:gate-1', Role::Operator]];
        $more = new Grants([...$few, ['group:g-gates000', Role::Technician], ['surface:hall', Role::Designer]]);
        foreach (Right::cases() as $right) {
            self::assertSame(Role::Operator->may($right) || Role::Technician->may($right), $more->may($right, $thing));
        }
    }

    public function testKnowsAThingByItsName(): void
    {
        foreach ([...Thing::surface('gate-1', ['g-gates000'])->names, 'document:'.str_repeat('a', 36)] as $name) {
            self::assertTrue(Thing::isNamed($name), $name);
        }
        foreach (['', 'site ', 'surface:', 'surface:Hall 1', 'group:Gates', 'document:1', "site\n"] as $name) {
            self::assertFalse(Thing::isNamed($name), $name);
        }
    }
}
