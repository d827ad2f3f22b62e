<?php

declare(strict_types=1);

namespace Tests\Architecture;

use PhpParser\Node;
use PhpParser\NodeTraverser;
use PhpParser\NodeVisitor\NameResolver;
use PhpParser\NodeVisitorAbstract;
use PhpParser\ParserFactory;

/** Finds in a source what would make it answer differently today and tomorrow, here and elsewhere. */
final class Impurities extends NodeVisitorAbstract
{
    /** Clock, chance, files, network, processes, environment, output. */
    private const FUNCTIONS = [
        'time',
        'microtime',
        'hrtime',
        'date',
        'gmdate',
        'mktime',
        'gmmktime',
        'strtotime',
        'getdate',
        'localtime',
        'idate',
        'date_create',
        'date_create_immutable',
        'uniqid',
        'rand',
        'mt_rand',
        'random_int',
        'random_bytes',
        'lcg_value',
        'shuffle',
        'array_rand',
        'str_shuffle',
        'mt_srand',
        'srand',
        'openssl_random_pseudo_bytes',
        'sleep',
        'usleep',
        'time_nanosleep',
        'fopen',
        'file',
        'file_get_contents',
        'file_put_contents',
        'readfile',
        'unlink',
        'mkdir',
        'glob',
        'scandir',
        'tempnam',
        'is_file',
        'file_exists',
        'is_dir',
        'fsockopen',
        'stream_socket_client',
        'stream_socket_server',
        'curl_init',
        'gethostbyname',
        'dns_get_record',
        'mail',
        'header',
        'setcookie',
        'exec',
        'shell_exec',
        'system',
        'passthru',
        'proc_open',
        'popen',
        'pcntl_fork',
        'eval',
        'getenv',
        'putenv',
        'ini_set',
        'ini_get',
        'setlocale',
        'date_default_timezone_set',
        'date_default_timezone_get',
        'mb_internal_encoding',
        'mb_regex_encoding',
        'error_log',
        'print_r',
        'var_dump',
        'printf',
        'spl_autoload_register',
        'set_error_handler',
        'register_shutdown_function',
        'gethostname',
        'getmypid',
        'php_uname',
        'sys_get_temp_dir',
        'memory_get_usage',
        'extract',
        'unserialize',
        'preg_replace_callback_array',
        'create_function',
    ];

    /** Intl classes that fall back to the machine's locale when none is given: class => which argument names it. */
    private const LOCALE_ARGUMENT = [
        'NumberFormatter' => 0,
        'MessageFormatter' => 0,
        'Collator' => 0,
        'IntlDateFormatter' => 0,
    ];

    /** @var list<string> */
    public array $found = [];

    /** @return list<string> "line N: what" */
    public static function in(string $source): array
    {
        $self = new self;
        $traverser = new NodeTraverser(new NameResolver, $self);
        $traverser->traverse((new ParserFactory)->createForHostVersion()->parse($source) ?? []);

        return $self->found;
    }

    public function enterNode(Node $node): null
    {
        match (true) {
            $node instanceof Node\Expr\FuncCall && $node->name instanceof Node\Name => $this->function(
                $node,
                $node->name,
            ),
            $node instanceof Node\Expr\New_ && $node->class instanceof Node\Name => $this->object($node, $node->class),
            $node instanceof Node\Stmt\Static_ => $this->add($node, 'a static variable'),
            $node instanceof Node\Stmt\Property && $node->isStatic() => $this->add($node, 'a static property'),
            $node instanceof Node\Stmt\Global_,
            $node instanceof Node\Expr\Exit_,
            $node instanceof Node\Expr\Eval_,
            $node instanceof Node\Stmt\Echo_,
            $node instanceof Node\Expr\Print_,
            $node instanceof Node\Expr\Include_,
            $node instanceof Node\Expr\ShellExec,
            $node instanceof Node\Stmt\InlineHTML => $this->add($node, $node->getType()),
            $node instanceof Node\Expr\Variable
                && is_string($node->name)
                && in_array(
                    $node->name,
                    ['GLOBALS', '_SERVER', '_GET', '_POST', '_COOKIE', '_ENV', '_FILES', '_SESSION', '_REQUEST'],
                    true,
                ) => $this->add($node, '$'.$node->name),
            $node instanceof Node\Expr\StaticCall
                && $node->class instanceof Node\Name
                && in_array(
                    $node->class->toString()
                        .'::'
                        .($node->name instanceof Node\Identifier ? $node->name->toString() : ''),
                    ['Locale::getDefault', 'Locale::setDefault', 'IntlTimeZone::createDefault'],
                    true,
                ) => $this->add($node, 'the machine’s locale or zone'),
            default => null,
        };

        return null;
    }

    private function function(Node\Expr\FuncCall $call, Node\Name $name): void
    {
        $plain = strtolower($name->getLast());
        if (in_array($plain, self::FUNCTIONS, true)) {
            $this->add($call, "$plain()");
        }
    }

    private function object(Node\Expr\New_ $new, Node\Name $class): void
    {
        $plain = $class->getLast();
        $first = $new->args[0] ?? null;
        $value = $first instanceof Node\Arg ? $first->value : null;
        if (in_array($plain, ['DateTime', 'Randomizer'], true) && $new->args === []) {
            $this->add($new, "new $plain()");
        }
        // A written moment must be whole: "now", "+1 day" or "10:00" would ask the clock.
        if (
            in_array($plain, ['DateTimeImmutable', 'DateTime'], true)
            && ($value === null
                || ($value instanceof Node\Scalar\String_
                    && preg_match('/^(@\d|\d{4}-\d\d-\d\d[T ]\d\d:\d\d)/', $value->value) !== 1))
        ) {
            $this->add($new, "new $plain without a fixed moment");
        }
        if (
            isset(self::LOCALE_ARGUMENT[$plain])
            && ($value === null
                || ($value instanceof Node\Expr\ConstFetch && strtolower($value->name->toString()) === 'null'))
        ) {
            $this->add($new, "new $plain without a locale");
        }
    }

    private function add(Node $node, string $what): void
    {
        $this->found[] = "line {$node->getStartLine()}: $what";
    }
}
