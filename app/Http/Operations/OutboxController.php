<?php

declare(strict_types=1);

namespace App\Http\Operations;

use App\Http\Shared\Controller;
use App\Models\Letter;
use Illuminate\Http\Request;

/** The letters that no mail server took, for whoever runs the installation. */
final class OutboxController extends Controller
{
    private const MOST = 200;

    /** @return list<LetterView> */
    public function index(Request $request): array
    {
        abort_unless(self::user($request)->keeps_house, 403, 'The outbox is for whoever runs this installation.');

        return array_values(Letter::query()->latest('id')->limit(self::MOST)->get()->map(LetterView::of(...))->all());
    }
}
