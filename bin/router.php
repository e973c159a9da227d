<?php

// Router of PHP's built-in server: what was built under public/ as it is, everything else to the application. Built files carry a
// hash in their names, so a browser may keep them for a year; they go out compressed where it takes that.
$path = parse_url($_SERVER['REQUEST_URI'], \PHP_URL_PATH);
$path = is_string($path) ? rawurldecode($path) : '';
$file = str_contains($path, "\0") ? false : realpath(dirname(__DIR__).'/public'.$path);
if (false !== $file && is_file($file) && str_starts_with($file, dirname(__DIR__).'/public/build/')) {
    $types = [
        'css' => 'text/css; charset=UTF-8',
        'js' => 'text/javascript; charset=UTF-8',
        'woff2' => 'font/woff2',
        'json' => 'application/json',
    ];
    $ending = pathinfo($file, \PATHINFO_EXTENSION);
    $hashed = 1 === preg_match('/-[\w-]{8}\.\w+$/D', $file);
    $tag = '"'.hash_file('xxh3', $file).'"';
    header('Content-Type: '.($types[$ending] ?? 'application/octet-stream'));
    header('Cache-Control: '.($hashed ? 'public, max-age=31536000, immutable' : 'no-cache'));
    header('ETag: '.$tag);
    header('Vary: Accept-Encoding');
    header('X-Content-Type-Options: nosniff');
    if (trim(str_replace('W/', '', $_SERVER['HTTP_IF_NONE_MATCH'] ?? '')) === $tag) {
        http_response_code(304);
    } elseif ('HEAD' !== $_SERVER['REQUEST_METHOD']) {
        $packed = is_file($file.'.gz') && str_contains($_SERVER['HTTP_ACCEPT_ENCODING'] ?? '', 'gzip');
        if ($packed) {
            header('Content-Encoding: gzip');
        }
        readfile($packed ? $file.'.gz' : $file);
    }

    return true;
}
$_SERVER['SCRIPT_NAME'] = '/index.php';
$_SERVER['SCRIPT_FILENAME'] = dirname(__DIR__).'/public/index.php';
require dirname(__DIR__).'/public/index.php';
