<?php

// Router of PHP's built-in server: files of public/ as they are, everything else to the application.
$path = parse_url($_SERVER['REQUEST_URI'], \PHP_URL_PATH);
$path = is_string($path) ? rawurldecode($path) : '';
$file = str_contains($path, "\0") ? false : realpath(dirname(__DIR__).'/public'.$path);
if (false !== $file && is_file($file) && str_starts_with($file, dirname(__DIR__).'/public/build/')) {
    return false;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = dirname(__DIR__).'/public/index.php';
require dirname(__DIR__).'/public/index.php';
