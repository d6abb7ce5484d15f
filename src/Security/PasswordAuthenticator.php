<?php

declare(strict_types=1);

namespace UpperPane\App\Security;

use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
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
use Symfony\Component\Security\Http\Event\LoginSuccessEvent;
use UpperPane\App\Entity\Person;
use UpperPane\App\Problem\Problem;
use UpperPane\App\UseCase\Session\Sessions;
use UpperPane\App\UseCase\Session\SignIn;
use UpperPane\App\UseCase\Session\Visitor;

/**
 * `POST /api/session` with email and password. Unknown people get the same answer in the same time as a wrong password.
 */
final class PasswordAuthenticator extends AbstractAuthenticator implements AuthenticationEntryPointInterface
{
    public const CSRF = 'csrf';
    private const STATUS = [
        'session.wrong' => 401,
        'session.wait' => 429,
        'session.json_only' => 415,
        'session.origin' => 403,
    ];

    public function __construct(private readonly SignIn $signIn, private readonly Sessions $sessions)
    {
    }

    public function supports(Request $request): bool
    {
        return $request->getPathInfo() === '/api/session' && $request->isMethod('POST');
    }

    public function authenticate(Request $request): Passport
    {
        if (!str_starts_with((string) $request->headers->get('Content-Type'), 'application/json')) {
            throw new CustomUserMessageAuthenticationException('session.json_only');
        }
        if (!Visitor::comesFromUs($request)) {
            throw new CustomUserMessageAuthenticationException('session.origin');
        }
        $body = json_decode($request->getContent(), true);
        $email = is_string($body['email'] ?? null) ? mb_substr(trim($body['email']), 0, 190) : '';
        $password = is_string($body['password'] ?? null) ? $body['password'] : '';
        $person = ($this->signIn)($email, $password, Visitor::of($request));
        if ($person === 0) {
            throw new CustomUserMessageAuthenticationException('session.wrong');
        }
        if (is_int($person)) {
            throw new CustomUserMessageAuthenticationException('session.wait', [
                'seconds' => intdiv($person + 999, 1000),
            ]);
        }

        return new SelfValidatingPassport(new UserBadge($person->email, static fn () => $person));
    }

    public function onAuthenticationSuccess(Request $request, TokenInterface $token, string $firewallName): Response
    {
        $request->getSession()->set(self::CSRF, bin2hex(random_bytes(20)));
        $response = new JsonResponse(null, Response::HTTP_NO_CONTENT);
        $person = $token->getUser();
        if ($person instanceof Person) {
            $known = $this->signIn->remember($person, Visitor::of($request));
            $response->headers->setCookie(Visitor::remembered($known, $request->isSecure()));
        }

        return $response;
    }

    /** Behind the listener that gives the session a new id. */
    #[AsEventListener(priority: -64)]
    public function began(LoginSuccessEvent $event): void
    {
        $person = $event->getUser();
        if ($person instanceof Person) {
            $request = $event->getRequest();
            $this->sessions->began($request->getSession()->getId(), $person, Visitor::of($request));
        }
    }

    public function onAuthenticationFailure(Request $request, AuthenticationException $exception): Response
    {
        $code = $exception->getMessageKey();
        $status = self::STATUS[$code] ?? null;
        if ($status === null) {
            return Problem::response(401, 'session.wrong');
        }
        $seconds = (int) ($exception->getMessageData()['seconds'] ?? 0);
        $response = Problem::response($status, $code, '', $status === 429 ? ['seconds' => $seconds] : []);
        if ($status === 429) {
            $response->headers->set('Retry-After', (string) $seconds);
        }

        return $response;
    }

    public function start(Request $request, ?AuthenticationException $authException = null): Response
    {
        return Problem::response(401, 'session.needed');
    }
}
