<?php

declare(strict_types=1);

namespace UpperPane\App\Security;

/** Who does what; the table of rights in config/rights.php names them route by route. */
enum Role: string
{
    case Designer = 'designer';
    case Editor = 'editor';
    case Operator = 'operator';
    case Technician = 'technician';
    case Administrator = 'administrator';
}
