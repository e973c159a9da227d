<?php

declare(strict_types=1);

namespace App\Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeFinder;
use PhpParser\ParserFactory;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The core does no I/O, reads no clock, and draws no lots but from a source it was given. */
final class PureCoreTest extends TestCase
{
    private const FORBIDDEN =
        '/^(f(open|read|write|puts|gets|close|ile.*|lock|passthru)|file_(get|put)_contents|readfile|unlink|rename|copy|mkdir|rmdir|glob'
        .'|scandir|opendir|touch|tempnam|stat|is_(file|dir|readable|writable)'.
        '|time|microtime|hrtime|date|gmdate|mktime|strtotime|getdate|localtime|date_default_timezone_set|sleep|usleep'.
        '|rand|mt_rand|srand|mt_srand|random_int|random_bytes|shuffle|array_rand|str_shuffle|uniqid|lcg_value'.
        '|getenv|putenv|ini_set|exec|system|shell_exec|passthru|proc_open|curl_.*|stream_.*|socket_.*|header|setcookie|print_r|var_dump'
        .'|error_log|trigger_error)$/';

    /** @return iterable<string, array{string}> */
    public static function files(): iterable
    {
        $root = \dirname(__DIR__, 2).'/core/src';
        /** @var \SplFileInfo $file */
        foreach (new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)) as $file) {
            yield substr($file->getPathname(), \strlen($root) + 1) => [(string) file_get_contents($file->getPathname())];
        }
    }

    #[DataProvider('files')]
    public function testTouchesNothingOutside(string $code): void
    {
        self::assertSame([], self::impurities($code));
    }

    /** A rule that finds nothing anywhere would prove nothing. */
    public function testTheRuleFindsWhatItForbids(): void
    {
        $code =
            '<?php function f() { $a = time(); $b = new \DateTimeImmutable(); $c = new \DateTimeImmutable("now"); echo $_GET["x"]; '
                .'file_get_contents("y"); $d = new \Random\Randomizer(); shuffle($e); }';
        self::assertSame(
            [
                'call of time()',
                'call of file_get_contents()',
                'call of shuffle()',
                'new DateTimeImmutable reads the clock',
                'new DateTimeImmutable reads the clock',
                'Randomizer without a source',
                'echo',
                'superglobal $_GET',
            ],
            self::impurities($code),
        );
    }

    /** @return list<string> */
    private static function impurities(string $code): array
    {
        $tree = (new ParserFactory())->createForHostVersion()->parse($code) ?? [];
        $finder = new NodeFinder();
        $found = [];
        foreach ($finder->findInstanceOf($tree, Node\Expr\FuncCall::class) as $call) {
            if ($call->name instanceof Node\Name && 1 === preg_match(self::FORBIDDEN, $call->name->toLowerString())) {
                $found[] = 'call of '.$call->name->toString().'()';
            }
        }
        foreach ($finder->findInstanceOf($tree, Node\Expr\New_::class) as $new) {
            $class = $new->class instanceof Node\Name ? $new->class->getLast() : '';
            $first = $new->args[0] ?? null;
            $value = $first instanceof Node\Arg ? $first->value : null;
            if (
                \in_array($class, ['DateTimeImmutable', 'DateTime'], true)
                && (null === $value || ($value instanceof Node\Scalar\String_ && \in_array($value->value, ['', 'now'], true)))
            ) {
                $found[] = 'new '.$class.' reads the clock';
            }
            if ('Randomizer' === $class && null === $value) {
                $found[] = 'Randomizer without a source';
            }
        }
        foreach (
            [
                Node\Stmt\Echo_::class => 'echo',
                Node\Expr\Exit_::class => 'exit',
                Node\Expr\Print_::class => 'print',
                Node\Expr\Eval_::class => 'eval',
                Node\Expr\Include_::class => 'include',
            ] as $kind => $name
        ) {
            array_push($found, ...array_fill(0, \count($finder->findInstanceOf($tree, $kind)), $name));
        }
        foreach ($finder->findInstanceOf($tree, Node\Expr\Variable::class) as $variable) {
            if (
                \is_string($variable->name)
                && 1 === preg_match('/^(_(GET|POST|SERVER|ENV|COOKIE|FILES|REQUEST|SESSION)|GLOBALS)$/', $variable->name)
            ) {
                $found[] = 'superglobal $'.$variable->name;
            }
        }

        return $found;
    }

    public function testEveryRefusalOfTheCoreBearsItsMark(): void
    {
        foreach (glob(\dirname(__DIR__, 2).'/core/src/*/*.php') ?: [] as $file) {
            $code = (string) file_get_contents($file);
            self::assertDoesNotMatchRegularExpression('/new \\\\(?!LogicException)\w*Exception\(/', $code, $file);
            if (1 === preg_match('/class (\w+) extends \\\\\w+Exception/', $code, $found)) {
                self::assertStringContainsString('implements Refusal', $code, $found[1]);
            }
        }
    }
}
