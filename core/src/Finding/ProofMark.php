<?php

declare(strict_types=1);

namespace InkedMargin\Core\Finding;

/** What to do about a finding, after the tradition of correcting proofs. */
enum ProofMark: string
{
    case Insert = 'insert';
    case TakeOut = 'take-out';
    case Change = 'change';
    case Move = 'move';
    case Look = 'look';
}
