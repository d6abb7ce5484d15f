<?php

declare(strict_types=1);

namespace UpperPane\Tests\Support;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use Random\Engine\Mt19937;
use Random\Randomizer;

/** Small changes of PHP code, one at a time, as a slip of a programmer would make them. */
final class Mutants
{
    private const OPERATORS = [
        '<' => '<=',
        '<=' => '<',
        '>' => '>=',
        '>=' => '>',
        '===' => '!==',
        '!==' => '===',
        '+' => '-',
        '-' => '+',
        '*' => '+',
        '%' => '*',
        '&&' => '||',
        '||' => '&&',
    ];
    private const CALLS = [
        'min' => 'max',
        'max' => 'min',
        'ceil' => 'floor',
        'floor' => 'ceil',
        'array_key_first' => 'array_key_last',
        'array_key_last' => 'array_key_first',
    ];

    /**
     * @param list<string> $files
     *
     * @return list<array{file: string, line: int, class: string, what: string, code: string}> so many, chosen by the
     *     seed
     */
    public static function of(array $files, int $count, int $seed): array
    {
        $all = [];
        foreach ($files as $file) {
            array_push($all, ...self::inFile($file));
        }
        $chosen = (new Randomizer(new Mt19937($seed)))->shuffleArray($all);

        return array_slice($chosen, 0, $count);
    }

    /** @return list<array{file: string, line: int, class: string, what: string, code: string}> */
    private static function inFile(string $file): array
    {
        $code = (string) file_get_contents($file);
        $tree = (new ParserFactory())->createForHostVersion()->parse($code) ?? [];
        $finder = new NodeFinder();
        $namespace = $finder->findFirstInstanceOf($tree, Node\Stmt\Namespace_::class);
        $class = $finder->findFirstInstanceOf($tree, Node\Stmt\ClassLike::class);
        if (!($namespace instanceof Node\Stmt\Namespace_) || !($class instanceof Node\Stmt\ClassLike)) {
            return [];
        }
        $mutants = [];
        // A set of things seen, `$seen[$id] = true`: whatever stands there, it is set.
        $sets = array_map(
            static fn (Expr\Assign $assign) => $assign->expr,
            array_filter(
                $finder->findInstanceOf($tree, Expr\Assign::class),
                static fn (Expr\Assign $assign) => $assign->var instanceof Expr\ArrayDimFetch
                    && $assign->expr instanceof Expr\ConstFetch,
            ),
        );
        // Strict comparison of what has one type anyhow, `in_array($id, $ids, true)`.
        $strict = array_map(
            static fn (Node $call) => $call instanceof Expr\FuncCall ? ($call->args[2]->value ?? null) : null,
            $finder->find(
                $tree,
                static fn (Node $node) => $node instanceof Expr\FuncCall
                    && $node->name instanceof Node\Name
                    && in_array($node->name->toString(), ['in_array', 'array_search', 'array_keys'], true),
            ),
        );
        foreach ($finder->find($tree, static fn (Node $node) => $node instanceof Expr) as $node) {
            if (in_array($node, $sets, true) || in_array($node, $strict, true)) {
                continue;
            }
            foreach (self::changes($node, $code) as [$from, $length, $text]) {
                $mutants[] = [
                    'file' => $file,
                    'line' => $node->getStartLine(),
                    'class' => "$namespace->name\\$class->name",
                    'what' => trim(substr($code, $from, $length)).' → '.trim($text),
                    'code' => substr_replace($code, $text, $from, $length),
                ];
            }
        }

        return $mutants;
    }

    /** @return list<array{int, int, string}> place, length and what stands there instead */
    private static function changes(Node $node, string $code): array
    {
        $from = $node->getStartFilePos();
        $length = $node->getEndFilePos() + 1 - $from;
        if ($node instanceof BinaryOp) {
            $sign = $node->getOperatorSigil();
            $between = $node->left->getEndFilePos() + 1;
            $at = strpos($code, $sign, $between);

            return isset(self::OPERATORS[$sign]) && $at !== false && $at < $node->right->getStartFilePos()
                ? [[$at, strlen($sign), self::OPERATORS[$sign]]]
                : [];
        }

        return match (true) {
            $node instanceof Node\Scalar\Int_ => [[$from, $length, (string) ($node->value + 1)]],
            $node instanceof Expr\BooleanNot => [[$from, 1, '']],
            $node instanceof Expr\ConstFetch && $node->name->toLowerString() === 'true' => [[$from, $length, 'false']],
            $node instanceof Expr\ConstFetch && $node->name->toLowerString() === 'false' => [[$from, $length, 'true']],
            $node instanceof Expr\FuncCall
                && $node->name instanceof Node\Name
                && isset(self::CALLS[$node->name->toString()]) => [
                    [$from, strlen($node->name->toString()), self::CALLS[$node->name->toString()]],
                ],
            default => [],
        };
    }
}
