"""Judging: findings for and against a look, each at a height with its reason, and a verdict."""

from craft.judge.again import Judged
from craft.judge.aims import Aims
from craft.judge.finding import Figure, Finding
from craft.judge.judgement import RULES, Judgement, judge
from craft.judge.rule import Rule
from craft.units import Sentence

__all__ = ["RULES", "Aims", "Figure", "Finding", "Judged", "Judgement", "Rule", "Sentence", "judge"]
