<?php

declare(strict_types=1);

namespace App\Tests\Words;

use PhpParser\Node;
use PhpParser\Node\Expr;
use PhpParser\Node\Scalar\String_;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use Symfony\Component\Finder\Finder;
use Twig\Environment;
use Twig\Node\Expression\ArrayExpression;
use Twig\Node\Expression\ConstantExpression;
use Twig\Node\Expression\FilterExpression;
use Twig\Node\Node as TwigNode;

/** Message ids as the code uses them: those given to something that says them, and every text there is. */
final class UsedIds
{
    /** Class → place of the message among the arguments of its constructor. */
    private const CLASSES = [
        'Sentence' => [0],
        'Fault' => [1],
        'Obstacle' => [1],
        'Finding' => [2, 3],
        'Guess' => [0],
        'Caution' => [1],
        'Edited' => [2],
        'Scenario' => [1, 3],
    ];

    /** Method → the same. */
    private const METHODS = [
        'fault' => [0],
        'because' => [1],
        'question' => [2],
        'guess' => [1],
        'ask' => [2],
        'say' => [0],
        'trans' => [0],
        'addFlash' => [1],
        'day' => [1],
    ];

    /** Keys of form options whose values are said. */
    private const OPTIONS = ['label', 'help'];

    public function __construct(private readonly string $root)
    {
    }

    /** @return array<string, string> message → where it is said */
    public function saidInPhp(): array
    {
        $said = [];
        foreach ($this->nodes() as [$file, $node]) {
            $places = match (true) {
                $node instanceof Expr\New_ && $node->class instanceof Node\Name => self::CLASSES[$node->class->getLast()] ?? [],
                ($node instanceof Expr\MethodCall || $node instanceof Expr\StaticCall || $node instanceof Expr\NullsafeMethodCall)
                    && $node->name instanceof Node\Identifier => self::METHODS[$node->name->name] ?? [],
                default => [],
            };
            if ($node instanceof Expr\CallLike && !$node->isFirstClassCallable()) {
                foreach ($places as $place) {
                    foreach ($this->texts($node->getArgs()[$place]->value ?? null) as $text) {
                        $said[$text] = $file.':'.$node->getStartLine();
                    }
                }
            }
            if ($node instanceof Node\ArrayItem && $node->key instanceof String_ && \in_array($node->key->value, self::OPTIONS, true)) {
                foreach (str_contains($file, '/Form/') ? $this->texts($node->value) : [] as $text) {
                    $said[$text] = $file.':'.$node->getStartLine();
                }
            }
        }

        return $said;
    }

    /** @return array<string, true> every text in the code, joined where it is written in parts */
    public function everyText(): array
    {
        $texts = [];
        foreach ($this->nodes() as [, $node]) {
            if ($node instanceof String_ || $node instanceof Expr\BinaryOp\Concat) {
                foreach ($this->texts($node) as $text) {
                    $texts[$text] = true;
                }
            }
        }

        return $texts;
    }

    /** @return array<string, true> every sentence in code and templates; words alone may be anything */
    public static function sentences(string $root, Environment $twig): array
    {
        $ids = new self($root);
        $texts = $ids->everyText() + $ids->inTemplates($twig)[1];

        return array_filter($texts, static fn (string $text): bool => str_contains($text, ' '), \ARRAY_FILTER_USE_KEY);
    }

    /** @return array{array<string, string>, array<string, true>} said by the filter, and every text, in the templates */
    public function inTemplates(Environment $twig): array
    {
        $said = $all = [];
        foreach (
            (new Finder())
                ->files()
                ->in($this->root.'/templates')
                ->name('*.twig') as $file
        ) {
            $name = str_replace('bundles/TwigBundle/', '@!Twig/', $file->getRelativePathname());
            $source = $twig->getLoader()->getSourceContext(str_starts_with($name, '@!') ? $file->getRelativePathname() : $name);
            $this->walk($twig->parse($twig->tokenize($source)), $file->getRelativePathname(), $said, $all);
        }

        return [$said, $all];
    }

    /**
     * @param array<string, string> $said
     * @param array<string, true>   $all
     */
    private function walk(TwigNode $node, string $file, array &$said, array &$all): void
    {
        if ($node instanceof ConstantExpression && \is_string($node->getAttribute('value'))) {
            $all[$node->getAttribute('value')] = true;
        }
        if ($node instanceof FilterExpression && 'trans' === $this->filterName($node)) {
            foreach ($this->constants($node->getNode('node')) as $text) {
                $said[$text] = $file.':'.$node->getTemplateLine();
            }
        }
        foreach ($node as $child) {
            $this->walk($child, $file, $said, $all);
        }
    }

    private function filterName(FilterExpression $node): string
    {
        $name = $node->hasAttribute('name') ? $node->getAttribute('name') : '';

        return \is_string($name) ? $name : '';
    }

    /** @return list<string> the texts that an expression may come to */
    private function constants(TwigNode $node): array
    {
        if ($node instanceof ConstantExpression) {
            return \is_string($node->getAttribute('value')) ? [$node->getAttribute('value')] : [];
        }
        $class = $node::class;
        $parts = match (true) {
            str_ends_with($class, 'ConditionalTernary') => [$node->getNode('left'), $node->getNode('right')],
            str_ends_with($class, 'ConditionalExpression') => [$node->getNode('expr2'), $node->getNode('expr3')],
            str_ends_with($class, 'GetAttrExpression') => $this->inArray($node->getNode('node')),
            default => [],
        };

        $texts = [];
        foreach ($parts as $part) {
            array_push($texts, ...$part instanceof TwigNode ? $this->constants($part) : []);
        }

        return $texts;
    }

    /** @return list<mixed> the values of an array that is written out */
    private function inArray(TwigNode $node): array
    {
        return $node instanceof ArrayExpression ? array_column($node->getKeyValuePairs(), 'value') : [];
    }

    /** @return iterable<array{string, Node}> */
    private function nodes(): iterable
    {
        $parser = (new ParserFactory())->createForHostVersion();
        foreach (
            (new Finder())
                ->files()
                ->in([$this->root.'/core/src', $this->root.'/src'])
                ->name('*.php')
                ->sortByName() as $file
        ) {
            foreach ((new NodeFinder())->find($parser->parse($file->getContents()) ?? [], static fn (Node $n): bool => true) as $node) {
                yield [$file->getPathname(), $node];
            }
        }
    }

    /** @return list<string> the texts that an expression may come to */
    private function texts(?Node $node): array
    {
        return match (true) {
            $node instanceof String_ => [$node->value],
            $node instanceof Expr\BinaryOp\Concat => $this->joined($node),
            $node instanceof Expr\Ternary => [...$this->texts($node->if), ...$this->texts($node->else)],
            $node instanceof Expr\BinaryOp\Coalesce => [...$this->texts($node->left), ...$this->texts($node->right)],
            $node instanceof Expr\Match_ => array_merge(
                [],
                ...array_map(fn (Node\MatchArm $a): array => $this->texts($a->body), $node->arms),
            ),
            default => [],
        };
    }

    /** @return list<string> */
    private function joined(Expr\BinaryOp\Concat $node): array
    {
        $joined = [];
        foreach ($this->texts($node->left) as $left) {
            foreach ($this->texts($node->right) as $right) {
                $joined[] = $left.$right;
            }
        }

        return $joined;
    }
}
