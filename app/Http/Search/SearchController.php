<?php

declare(strict_types=1);

namespace App\Http\Search;

use App\Http\Shared\Controller;
use App\Search\Hit;
use App\Search\Search;
use App\Search\Words;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use InkedMargin\Core\Rules\Catalogue;
use OpenApi\Attributes as OA;

final class SearchController extends Controller
{
    /** Characters: more than this is no search. */
    private const LONGEST = 200;

    #[OA\Get(
        path: '/api/search',
        operationId: 'search',
        parameters: [new OA\Parameter(name: 'q', in: 'query', required: true, schema: new OA\Schema(type: 'string'))],
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(type: 'array', items: new OA\Items(ref: Hit::class)),
        )],
    )]
    public function show(Request $request): JsonResponse
    {
        $words = Words::of(mb_substr($request->string('q')->toString(), 0, self::LONGEST));

        return response()->json((new Search(self::user($request), $words))->hits());
    }

    /** A rule with its examples, as the catalogue prints it. */
    #[OA\Get(
        path: '/api/rules/{rule}',
        operationId: 'rule',
        responses: [new OA\Response(
            response: 200,
            description: 'OK',
            content: new OA\JsonContent(ref: RuleView::class),
        )],
    )]
    public function rule(string $rule): JsonResponse
    {
        return response()->json(RuleView::of(Catalogue::rule($rule) ?? abort(404, 'There is no such rule.')));
    }
}
