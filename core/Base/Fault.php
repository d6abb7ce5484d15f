<?php

declare(strict_types=1);

namespace UpperPane\Core\Base;

/** Marker of every exception the core throws on purpose. */
interface Fault extends \Throwable
{
}
