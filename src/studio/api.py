"""The interface: routers put together, what it answers to errors stands in answers.py. OpenAPI at /api/openapi.json."""

from __future__ import annotations

from ninja import NinjaAPI

from studio.answers import answer_errors
from studio.bodies.api import router as bodies
from studio.charts.api import router as charts
from studio.fittings.api import router as fittings
from studio.fittings.errands_api import router as errands
from studio.gate import Gate
from studio.looks.advice_api import router as advice
from studio.looks.api import router as looks
from studio.people.api import router as people
from studio.pictures.api import router as pictures
from studio.rack.api import router as rack
from studio.records.api import router as records
from studio.rules.api import router as rules
from studio.shopping.api import router as shopping
from studio.wall import MemberAuth

#: No page of documentation: it would load scripts from elsewhere. The document itself is public.
api = NinjaAPI(title="Basilwood", version="1", auth=MemberAuth(), parser=Gate(), docs_url=None)
api.add_router("", people, tags=["people"])
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
api.add_router("", records, tags=["records"])

answer_errors(api)
