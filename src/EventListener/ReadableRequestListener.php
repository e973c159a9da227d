<?php

declare(strict_types=1);

namespace App\EventListener;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpKernel\Event\RequestEvent;
use Symfony\Component\HttpKernel\Exception\BadRequestHttpException;

/**
 * The edge of the application: every text that comes in is UTF-8 without control characters, every number finite. Checked once,
 * before anything else sees the request.
 */
#[AsEventListener(priority: 4096)]
final class ReadableRequestListener
{
    private const UNREADABLE = '/[\x00-\x08\x0b\x0c\x0e-\x1f\x7f]/';

    public function __invoke(RequestEvent $event): void
    {
        if (!$event->isMainRequest()) {
            return;
        }
        $request = $event->getRequest();
        $this->dropStrangeCookies($request);
        $this->check('address', rawurldecode($request->getPathInfo()));
        $this->check('address', $request->query->all());
        $this->check('form', $request->request->all());
        foreach ($request->query->all() as $name => $value) {
            if (\is_string($value) && is_numeric($value) && !is_finite((float) $value)) {
                throw new BadRequestHttpException(
                    \sprintf('The address gives "%s" a number that is too large.', mb_substr((string) $name, 0, 40)),
                );
            }
        }
    }

    /** A cookie is one readable text; what is not is as good as none. */
    private function dropStrangeCookies(Request $request): void
    {
        foreach ($request->cookies->all() as $name => $value) {
            if (!\is_string($value) || !$this->isReadable($value)) {
                $request->cookies->remove((string) $name);
                unset($_COOKIE[$name]);
            }
        }
    }

    private function check(string $where, mixed $value): void
    {
        if (\is_array($value)) {
            foreach ($value as $key => $item) {
                $this->check($where, (string) $key);
                $this->check($where, $item);
            }
        } elseif (\is_string($value) && !$this->isReadable($value)) {
            throw new BadRequestHttpException(
                'address' === $where
                    ? 'The address holds bytes that are no readable text.'
                    : 'The form holds bytes that are no readable text. Nothing was stored.',
            );
        }
    }

    private function isReadable(string $text): bool
    {
        return mb_check_encoding($text, 'UTF-8') && 1 !== preg_match(self::UNREADABLE, $text);
    }
}
