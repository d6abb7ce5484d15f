<?php

declare(strict_types=1);

namespace UpperPane\Core\Design;

use UpperPane\Core\Change\Command;

/**
 * A command on a design. Its `NAME` is what it is sent and stored by; it is registered by one line in {@see
 * DesignCommands}.
 *
 * @extends Command<Design>
 */
interface DesignCommand extends Command
{
}
