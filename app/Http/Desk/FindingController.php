<?php

declare(strict_types=1);

namespace App\Http\Desk;

use App\Feedback\Margin;
use App\Http\Shared\Controller;
use App\Models\HandIn;

final class FindingController extends Controller
{
    /**
     * What was found on one leaf; or, for the drawing of them, on the links of all leaves.
     *
     * @return list<DeskFinding>
     */
    public function index(LeafRequest $request, HandIn $handIn): array
    {
        $handIn->load('remarks')->loadKnownRun();
        $margin = Margin::of($handIn);

        return $request->boolean('links')
            ? DeskFinding::onLinks($margin)
            : DeskFinding::on($margin, $request->leaf() ?? '');
    }
}
