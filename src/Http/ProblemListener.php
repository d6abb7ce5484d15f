<?php

declare(strict_types=1);

namespace UpperPane\App\Http;

use Doctrine\DBAL\Exception\ConnectionException;
use Doctrine\DBAL\Exception\DriverException;
use Doctrine\DBAL\Exception\LockWaitTimeoutException;
use Doctrine\DBAL\Exception\UniqueConstraintViolationException;
use Psr\Log\LoggerInterface;
use Symfony\Component\EventDispatcher\Attribute\AsEventListener;
use Symfony\Component\HttpFoundation\JsonResponse;
use Symfony\Component\HttpFoundation\Response;
use Symfony\Component\HttpKernel\Event\ExceptionEvent;
use Symfony\Component\HttpKernel\Exception\HttpExceptionInterface;
use UpperPane\App\Adapter\NoRoom;
use UpperPane\App\Problem\Problem;
use UpperPane\App\UseCase\Absent;
use UpperPane\App\UseCase\Conflict;
use UpperPane\App\UseCase\Forbidden;
use UpperPane\Core\Base\Refusal;

/**
 * Turns whatever went wrong into a problem that a person can act on. What is our fault is logged under a number the
 * person is told.
 */
#[AsEventListener(priority: 0)]
final readonly class ProblemListener
{
    public function __construct(private LoggerInterface $logger)
    {
    }

    public function __invoke(ExceptionEvent $event): void
    {
        $event->setResponse($this->answer($event->getThrowable()));
    }

    private function answer(\Throwable $fault): JsonResponse
    {
        return match (true) {
            $fault instanceof Refusal => Problem::ofRefusal($fault),
            $fault instanceof NoRoom => Problem::ofRefusal($fault->why, Response::HTTP_INSUFFICIENT_STORAGE),
            $fault instanceof Absent => Problem::response(404, 'address.absent', '', ['what' => $fault->getMessage()]),
            $fault instanceof Forbidden => Problem::response(403, 'right.missing_at', '', [
                'right' => $fault->right->value,
                'site' => $fault->site,
            ]),
            $fault instanceof Conflict => Problem::response(
                409,
                $fault->conflictCode,
                '',
                $fault->params,
                $fault->versions,
            ),
            $fault instanceof UniqueConstraintViolationException => Problem::response(409, 'request.raced'),
            $fault instanceof LockWaitTimeoutException, self::databaseAway($fault) => Problem::response(
                503,
                'service.database_away',
            ),
            $fault instanceof HttpExceptionInterface && $fault->getStatusCode() < 500 => Problem::response(
                $fault->getStatusCode(),
                $fault->getStatusCode() === 404 ? 'address.absent' : 'address.refused',
                '',
                ['what' => 'page'],
            ),
            default => $this->ours($fault),
        };
    }

    /** The session is read before anything else, by a plain PDO: its exception counts too. */
    private static function databaseAway(\Throwable $fault): bool
    {
        for ($cause = $fault; $cause !== null; $cause = $cause->getPrevious()) {
            $lost =
                $cause instanceof ConnectionException
                || ($cause instanceof \PDOException
                    && preg_match(
                        '/\[(2002|2006|2013|1053)\]|gone away|Connection refused|Lost connection|server shutdown/i',
                        $cause->getMessage(),
                    ) === 1)
                || ($cause instanceof DriverException && in_array($cause->getCode(), [1053, 2002, 2006, 2013], true));
            if ($lost) {
                return true;
            }
        }

        return false;
    }

    private function ours(\Throwable $fault): JsonResponse
    {
        $number = bin2hex(random_bytes(4));
        $this->logger->critical("Fault $number: $fault");

        return Problem::response(500, 'service.fault', '', ['number' => $number]);
    }
}
