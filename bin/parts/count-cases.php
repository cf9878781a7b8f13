<?php

// Prints "passed failed" for the test cases of one JUnit log; "0 0" when there is none.

declare(strict_types=1);

$log = is_file($argv[1]) ? simplexml_load_file($argv[1]) : false;
$cases = $log === false ? [] : $log->xpath('//testcase');
$failed = array_filter($cases, fn (SimpleXMLElement $case) => isset($case->failure) || isset($case->error));
$skipped = array_filter($cases, fn (SimpleXMLElement $case) => isset($case->skipped));

echo count($cases) - count($failed) - count($skipped), ' ', count($failed);
