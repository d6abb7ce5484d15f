<?php

declare(strict_types=1);

namespace UpperPane\Tests\Architecture;

use PHPat\Selector\Selector;
use PHPat\Test\Attributes\TestRule;
use PHPat\Test\Builder\Rule;
use PHPat\Test\PHPat;

/** The arrows of docs/ARCHITECTURE.md, held by phpat within phpstan. */
final class LayersTest
{
    /** Inside core a folder may use only folders listed before it; Plan, Preflight and Handoff may use all. */
    private const ORDER = [
        'Base',
        'Change',
        'Geometry',
        'Surface',
        'Output',
        'Site',
        'Act',
        'Book',
        'Layout',
        'Time',
        'Schedule',
        'Legibility',
        'Picture',
        'Text',
        'Web',
        'Design',
        'Style',
    ];

    /** Of src, what each folder must not use: entities and adapters stand lowest, HTTP on top. */
    private const NOT_IN_SRC = [
        'Entity' => ['Adapter', 'Repository', 'Job', 'UseCase', 'Security', 'Problem', 'Http', 'Console'],
        'Adapter' => ['Repository', 'Job', 'UseCase', 'Security', 'Problem', 'Http', 'Console'],
        'Repository' => ['Job', 'UseCase', 'Security', 'Problem', 'Http', 'Console'],
        'Job' => ['UseCase', 'Security', 'Problem', 'Http', 'Console'],
        'UseCase' => ['Security', 'Problem', 'Http', 'Console'],
        'Problem' => ['Entity', 'Adapter', 'Repository', 'Job', 'UseCase', 'Security', 'Http', 'Console'],
        'Security' => ['Repository', 'Job', 'Http', 'Console'],
        'Http' => ['Repository', 'Job', 'Console'],
    ];

    #[TestRule]
    public function coreKnowsNoFramework(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('UpperPane\Core'))
            ->shouldNot()
            ->dependOn()
            ->classes(
                Selector::inNamespace('UpperPane\App'),
                Selector::inNamespace('UpperPane\Demo'),
                Selector::inNamespace('Symfony'),
                Selector::inNamespace('Doctrine'),
                Selector::inNamespace('Psr'),
                Selector::inNamespace('League'),
            )
            ->because('core is pure: rules and arithmetic');
    }

    #[TestRule]
    public function controllersKnowNoStorage(): Rule
    {
        return PHPat::rule()
            ->classes(Selector::inNamespace('UpperPane\App\Http'))
            ->excluding(Selector::classname('UpperPane\App\Http\ProblemListener'))
            ->shouldNot()
            ->dependOn()
            ->classes(Selector::inNamespace('Doctrine'), Selector::inNamespace('League'))
            ->because('controllers call use cases');
    }

    /** @return iterable<Rule> */
    #[TestRule]
    public function theAppsFoldersUseOnlyThoseBelow(): iterable
    {
        foreach (self::NOT_IN_SRC as $folder => $above) {
            $there = array_map(static fn (string $name) => Selector::inNamespace("UpperPane\\App\\$name"), $above);
            yield PHPat::rule()
                ->classes(Selector::inNamespace("UpperPane\\App\\$folder"))
                ->shouldNot()
                ->dependOn()
                ->classes(...$there)
                ->because('nothing in src goes in a circle');
        }
    }

    /** @return iterable<Rule> */
    #[TestRule]
    public function coreFoldersUseOnlyThoseBefore(): iterable
    {
        foreach (self::ORDER as $index => $folder) {
            $later = array_map(static fn (string $name) => Selector::inNamespace("UpperPane\\Core\\$name"), [
                ...array_slice(self::ORDER, $index + 1),
                'Plan',
                'Preflight',
                'Handoff',
            ]);
            yield PHPat::rule()
                ->classes(Selector::inNamespace("UpperPane\\Core\\$folder"))
                ->shouldNot()
                ->dependOn()
                ->classes(...$later)
                ->because('the order of folders in core');
        }
    }
}
