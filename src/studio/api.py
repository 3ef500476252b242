"""The interface: routers put together, what it answers to errors stands in answers.py. OpenAPI at /api/openapi.json."""

from __future__ import annotations

from typing import Any

from ninja import NinjaAPI
from ninja.openapi.schema import OpenAPISchema

from studio.access import Requires
from studio.answers import answer_errors
from studio.audit.api import router as audit
from studio.audit.recording import record
from studio.bodies.api import router as bodies
from studio.charts.api import router as charts
from studio.diary.api import router as diary
from studio.edit.api import router as edit
from studio.edit.lists_api import router as edit_lists
from studio.fittings.api import router as fittings
from studio.fittings.errands_api import router as errands
from studio.gate import Gate
from studio.handover.api import router as handover
from studio.handover.links_api import router as links
from studio.looks.advice_api import router as advice
from studio.looks.api import router as looks
from studio.members.api import router as members
from studio.outfits.api import router as outfits
from studio.people.api import router as people
from studio.pictures.api import router as pictures
from studio.plan.api import router as plans
from studio.policy import Right
from studio.rack.api import router as rack
from studio.records.api import router as records
from studio.rules.api import router as rules
from studio.schemas import Refusal
from studio.shopping.api import router as shopping
from studio.shopping.like_api import router as like

#: What any operation may answer that is not done: whoever asks is told why, in the one shape.
NOT_DONE = {
    "400": "It cannot be read.",
    "401": "Nobody is signed in.",
    "403": "It was not sent by one of our own pages, or the role of who asks does not go so far.",
    "404": "It is not here, or not in this studio.",
    "409": "It was changed meanwhile, or stands for something else, or was handed in before.",
    "413": "It is too large.",
    "415": "It is a form and not JSON.",
    "422": "Something in it cannot be taken.",
    "503": "The studio is being brought back, or is busy; Retry-After says when to ask again.",
}


class Described(NinjaAPI):
    """The interface with every answer described, those among them that no operation gives by itself."""

    def get_openapi_schema(self, **more: Any) -> OpenAPISchema:
        """The OpenAPI document."""
        told = super().get_openapi_schema(**more)
        shape = {"application/json": {"schema": {"$ref": "#/components/schemas/Refusal"}}}
        told["components"]["schemas"].setdefault("Refusal", Refusal.model_json_schema())
        told["components"]["responses"] = {
            f"NotDone{status}": {"description": why, "content": shape} for status, why in NOT_DONE.items()
        }
        for operations in told["paths"].values():
            for operation in operations.values():
                for answered in operation["responses"].values():
                    content = answered.get("content", {})
                    if len(content) > 1:
                        # A file: it is not the JSON of its bytes.
                        content.pop("application/json", None)
                # Written by number or as a text: both are the same answer.
                known = {str(status) for status in operation["responses"]}
                operation["responses"].update(
                    {one: {"$ref": f"#/components/responses/NotDone{one}"} for one in NOT_DONE if one not in known}
                )
        return told


#: No page of documentation: it would load scripts from elsewhere. The document itself is public.
api = Described(title="Basilwood", version="1", auth=Requires(Right.WORK), parser=Gate(), docs_url=None)
for router in (people, bodies, looks, advice, rack, fittings, errands, pictures, charts, rules, shopping, outfits, edit,
               edit_lists, handover, links, plans, diary, records, members, audit):  # fmt: skip
    router.add_decorator(record)
api.add_router("", people, tags=["people"])
api.add_router("", members, tags=["members"])
api.add_router("", audit, tags=["audit"])
api.add_router("", bodies, tags=["bodies"])
api.add_router("", looks, tags=["looks"])
api.add_router("", advice, tags=["looks"])
api.add_router("", rack, tags=["rack"])
api.add_router("", fittings, tags=["fittings"])
api.add_router("", errands, tags=["fittings"])
api.add_router("", pictures, tags=["pictures"])
api.add_router("", charts, tags=["charts"])
api.add_router("", rules, tags=["rules"])
api.add_router("", shopping, tags=["shopping"])
api.add_router("", like, tags=["shopping"])
api.add_router("", outfits, tags=["outfits"])
api.add_router("", edit, tags=["edit"])
api.add_router("", edit_lists, tags=["edit"])
api.add_router("", handover, tags=["handover"])
api.add_router("", links, tags=["handover"])
api.add_router("", plans, tags=["plan"])
api.add_router("", diary, tags=["diary"], auth=Requires(Right.DIARY))
api.add_router("", records, tags=["records"])

answer_errors(api)
