<?php

// Prints "passed failed" for the test cases of one JUnit log. A log that is not there, or cannot be read, or holds no case, is a failure.

declare(strict_types=1);

$log = is_file($argv[1]) ? simplexml_load_file($argv[1]) : false;
$cases = $log === false ? [] : $log->xpath('//testcase');
if ($cases === []) {
    exit('0 1');
}
$failed = array_filter($cases, fn (SimpleXMLElement $case) => isset($case->failure) || isset($case->error));
$skipped = array_filter($cases, fn (SimpleXMLElement $case) => isset($case->skipped));

echo count($cases) - count($failed) - count($skipped), ' ', count($failed);
