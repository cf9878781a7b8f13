<?php

declare(strict_types=1);

namespace App\Http\Search;

use App\Description\InQuery;
use App\Http\Shared\Controller;
use App\Search\Hit;
use App\Search\Search;
use App\Search\Words;
use Illuminate\Http\Request;
use InkedMargin\Core\Rules\Catalogue;

final class SearchController extends Controller
{
    /** Characters: more than this is no search. */
    private const LONGEST = 200;

    /** @return list<Hit> */
    #[InQuery('q', required: true)]
    public function show(Request $request): array
    {
        $words = Words::of(mb_substr($request->string('q')->toString(), 0, self::LONGEST));

        return (new Search(self::user($request), $words))->hits();
    }

    /** A rule with its examples, as the catalogue prints it. */
    public function rule(string $rule): RuleView
    {
        return RuleView::of(Catalogue::rule($rule) ?? abort(404, 'There is no such rule.'));
    }
}
