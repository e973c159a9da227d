<?php

declare(strict_types=1);

namespace FeastLadle\Tests\Mutation;

use PhpParser\Node;
use PhpParser\Node\Expr\BinaryOp;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;

/**
 * Small faults that could be made in a file: an operator taken for its neighbour, a constant a little off, a limit that includes or leaves
 * out its edge. Only the text of the one place is changed.
 *
 * @phpstan-type Mutant array{file: string, line: int, what: string, code: string}
 */
final class Mutants
{
    private const OPERATORS = [
        BinaryOp\Plus::class => ['+', '-'],
        BinaryOp\Minus::class => ['-', '+'],
        BinaryOp\Mul::class => ['*', '/'],
        BinaryOp\Div::class => ['/', '*'],
        BinaryOp\Pow::class => ['**', '*'],
        BinaryOp\Smaller::class => ['<', '<='],
        BinaryOp\SmallerOrEqual::class => ['<=', '<'],
        BinaryOp\Greater::class => ['>', '>='],
        BinaryOp\GreaterOrEqual::class => ['>=', '>'],
        BinaryOp\Identical::class => ['===', '!=='],
        BinaryOp\NotIdentical::class => ['!==', '==='],
        BinaryOp\BooleanAnd::class => ['&&', '||'],
        BinaryOp\BooleanOr::class => ['||', '&&'],
    ];

    /** @return list<Mutant> */
    public function of(string $file): array
    {
        $source = (string) file_get_contents($file);
        $nodes = (new NodeFinder())->find(
            (new ParserFactory())->createForHostVersion()->parse($source) ?? [],
            static fn (Node $n): bool => true,
        );
        $mutants = [];
        foreach ($nodes as $node) {
            if ($node instanceof Node\DeclareItem) {
                // What is declared is no constant of a law: the value below it is skipped.
                $declared = $node->value;
            } elseif ($node === ($declared ?? null)) {
                continue;
            } elseif ($node instanceof BinaryOp && isset(self::OPERATORS[$node::class])) {
                [$from, $to] = self::OPERATORS[$node::class];
                $start = $node->left->getEndFilePos() + 1;
                $between = substr($source, $start, $node->right->getStartFilePos() - $start);
                $at = strpos($between, $from);
                if (false !== $at) {
                    $mutants[] = $this->mutant($file, $source, $node, $start + $at, \strlen($from), $to);
                }
            } elseif ($node instanceof Node\Scalar\Float_) {
                $length = $node->getEndFilePos() - $node->getStartFilePos() + 1;
                $off = 0.0 === $node->value ? '0.5' : '('.var_export($node->value, true).' * 1.1)';
                $mutants[] = $this->mutant($file, $source, $node, $node->getStartFilePos(), $length, $off);
            } elseif ($node instanceof Node\Scalar\Int_) {
                $length = $node->getEndFilePos() - $node->getStartFilePos() + 1;
                $mutants[] = $this->mutant($file, $source, $node, $node->getStartFilePos(), $length, (string) ($node->value + 1));
            }
        }

        return $mutants;
    }

    /** @return Mutant */
    private function mutant(string $file, string $source, Node $node, int $at, int $length, string $to): array
    {
        $lineStart = (int) strrpos(substr($source, 0, $at), "\n") + 1;
        $lineEnd = strpos($source, "\n", $at);
        $line = substr($source, $lineStart, (false === $lineEnd ? \strlen($source) : $lineEnd) - $lineStart);
        $inLine = $at - $lineStart;

        return [
            'file' => $file,
            'line' => substr_count($source, "\n", 0, $at) + 1,
            'what' => trim(
                substr($line, 0, $inLine).
                    '⟨'.
                    substr($line, $inLine, $length).
                    ' → '.
                    $to.
                    '⟩'.
                    substr($line, $inLine + $length),
            ),
            'code' => substr($source, 0, $at).$to.substr($source, $at + $length),
        ];
    }
}
