<?php

declare(strict_types=1);

use PhpCsFixer\Config;
use PhpCsFixer\Finder;

$root = dirname(__DIR__);

return (new Config())
    ->setCacheFile($root.'/var/php-cs-fixer.cache')
    ->setRiskyAllowed(true)
    ->setUnsupportedPhpVersionAllowed(true)
    ->setFinder(Finder::create()->in([$root.'/core', $root.'/src', $root.'/demo', $root.'/tests', $root.'/migrations', $root.'/config'])->notPath('reference.php'))
    ->setRules([
        '@PER-CS' => true,
        '@Symfony' => true,
        'declare_strict_types' => true,
        'strict_comparison' => true,
        'concat_space' => ['spacing' => 'none'],
        'global_namespace_import' => false,
        'phpdoc_align' => false,
        'phpdoc_to_comment' => false,
        'phpdoc_summary' => false,
        'yoda_style' => false,
        'single_line_throw' => false,
        'ordered_imports' => true,
        'native_constant_invocation' => false,
        'method_argument_space' => false,
        'no_superfluous_phpdoc_tags' => ['allow_mixed' => true, 'remove_inheritdoc' => true],
        'trailing_comma_in_multiline' => false,
        'braces_position' => ['allow_single_line_anonymous_functions' => true],
        'single_line_empty_body' => false,
        'blank_line_before_statement' => false,
        'multiline_promoted_properties' => false,
        'statement_indentation' => false,
    ]);
