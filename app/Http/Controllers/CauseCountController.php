<?php

declare(strict_types=1);

namespace App\Http\Controllers;

use App\Http\IfMatch;
use App\Library\CauseCounts;
use App\Models\User;
use Illuminate\Http\JsonResponse;
use Illuminate\Http\Request;
use Symfony\Component\HttpKernel\Exception\NotFoundHttpException;
use VividPull\Core\Diagnosis\Causes;
use VividPull\Core\Input\Node;
use VividPull\Core\Spec\FamilyKey;
use VividPull\Core\Wire\DiagnosisCodec;

/** How often each cause was found: everybody may look, a lead changes it. */
final class CauseCountController
{
    public function show(string $family): JsonResponse
    {
        return new JsonResponse(CauseCounts::of(self::family($family))->wire());
    }

    public function update(Request $request, string $family): JsonResponse
    {
        $node = Node::fromJson($request->getContent());
        $key = self::family($family);
        $node->object(['here'], ['without_elsewhere']);
        $here = DiagnosisCodec::counts($node->at('here'), Causes::of($key));
        CauseCounts::of($key)->change(
            $here,
            $node->flag('without_elsewhere'),
            User::of($request),
            IfMatch::of($request),
        );

        return $this->show($family);
    }

    private static function family(string $family): FamilyKey
    {
        return FamilyKey::tryFrom($family) ?? throw new NotFoundHttpException;
    }
}
