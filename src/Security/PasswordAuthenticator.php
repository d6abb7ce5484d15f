<?php

declare(strict_types=1);

namespace UpperPane\App\Security;

use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Request;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\Security\Core\Authentication\Token\TokenInterface;
use Symfony\Component\Security\Core\Exception\AuthenticationException;
use Symfony\Component\Security\Core\Exception\CustomUserMessageAuthenticationException;
use Symfony\Component\Security\Http\Authenticator\AbstractAuthenticator;
use Symfony\Component\Security\Http\Authenticator\Passport\Badge\UserBadge;
use Symfony\Component\Security\Http\Authenticator\Passport\Passport;
use Symfony\Component\Security\Http\Authenticator\Passport\SelfValidatingPassport;
use Symfony\Component\Security\Http\EntryPoint\AuthenticationEntryPointInterface;
use UpperPane\App\Problem\Problem;
use UpperPane\App\UseCase\Session\SignIn;

/**
 * `POST /api/session` with email and password. Unknown people get the same answer in the same time as a wrong password.
 */
final class PasswordAuthenticator extends AbstractAuthenticator implements AuthenticationEntryPointInterface
{
    public const CSRF = 'csrf';

    public function __construct(private readonly SignIn $signIn)
    {
    }

    public function supports(Request $request): bool
    {
        return $request->getPathInfo() === '/api/session' && $request->isMethod('POST');
    }

    public function authenticate(Request $request): Passport
    {
        $body = json_decode($request->getContent(), true);
        $email = is_string($body['email'] ?? null) ? mb_substr(trim($body['email']), 0, 190) : '';
        $password = is_string($body['password'] ?? null) ? $body['password'] : '';
        $wait = $this->signIn->waitSeconds($email);
        if ($wait > 0) {
            throw new CustomUserMessageAuthenticationException('session.wait', ['seconds' => $wait]);
        }
        $person = $this->signIn->verify($email, $password);
        if ($person === null) {
            throw new CustomUserMessageAuthenticationException('session.wrong');
        }

        return new SelfValidatingPassport(new UserBadge($person->email, static fn () => $person));
    }

    public function onAuthenticationSuccess(Request $request, TokenInterface $token, string $firewallName): Response
    {
        $request->getSession()->set(self::CSRF, bin2hex(random_bytes(20)));

        return new JsonResponse(null, Response::HTTP_NO_CONTENT);
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        $seconds = (int) ($exception->getMessageData()['seconds'] ?? 0);
        $waiting = $exception->getMessageKey() === 'session.wait';
        $response = Problem::response(
            $waiting ? 429 : 401,
            $waiting ? 'session.wait' : 'session.wrong',
            '',
            $waiting ? ['seconds' => $seconds] : [],
        );
        if ($waiting) {
            $response->headers->set('Retry-After', (string) $seconds);
        }

        return $response;
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        return Problem::response(401, 'session.needed');
    }
}
