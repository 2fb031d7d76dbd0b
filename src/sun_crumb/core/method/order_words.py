"""By which words of a step it is told what it goes with: patterns, each with an example of what it finds."""

from __future__ import annotations

import re

from sun_crumb.core.method.records import Wait
from sun_crumb.core.method.sentences import verb_of

APART = re.compile(
    r"\b(?:in (?:another|a second|a separate|a different|a clean|a small|a large|a medium|a big|a mixing|one|a)(?: \w+)? (?:bowl|jug|pan|saucepan|pot)|into a (?:\w+ )?(?:saucepan|pan)\b|separately|meanwhile|in the meantime|while (?:it|the|that|they|those|you)\b)",
    re.I,
)
TIN_ONLY = re.compile(
    r"^\W*(?:and\s+)?(?:line|grease|butter|oil|flour|dust|prepare|put\s+\d+\s+(?:\w+\s+)?cases|place\s+\d+\s+(?:\w+\s+)?(?:cases|liners)|(?:put|place|set|pop)\s+(?:(?:paper|muffin|cupcake|bun)\s+)?(?:cases|liners))\b(?:[^.]|\.(?=\d))*\b(?:tins?|pans?|dish(?:es)?|trays?|moulds?|molds?|sheets?|basin|ramekins?|paper|cases|parchment|liners|springform|bundt)\b(?!.*\b(?:beans|weights|rice|of pastry|of dough)\b)",
    re.I,
)
HEATS = re.compile(
    r"\b(?:pre-?heat|heat|turn|set|reduce|lower|increase|raise|switch)\w*\b(?!-off|ed[- ]off)[^.;]{0,40}\boven\b|^\W*(?:reduce|lower|increase|raise)\s+(?:the\s+)?(?:temperature|heat)\s+to\s+\d{3}|^\W*oven\b|^\W*\d{3}\s*(?:°|º)?\s*[CF]?\s*oven|\boven (?:to|at|on)\b|^\W*(?:pre-?heat)\b",
    re.I,
)
INTO = re.compile(
    r"\b(?:into|in(?:to)? the|onto|over|on top|with|through|to the|between|among|amongst|on|the cups|the cases|the tins?)\b",
    re.I,
)
COUNT_ON_BAKE = re.compile(
    r"\b(?:spread|pour|spoon|tip|scrape)\s+(?:it\s+)?in(?:to)?\s+the\s+(?:\w+\s+)?(?:case|shell|crust)\b|\b(?:pipe|spoon|fill|inject)\w*\b[^.;]{0,16}\binto\s+(?:the\s+|each\s+)?(?:éclairs?|eclairs?|profiteroles?|choux|buns?|doughnuts?|cannoli|horns|tubes|shells|tartlets)\b|\b(?:hot|warm|cooled|cold|baked|cool)\s+(?:\w+\s+)?(?:cakes?|tart|buns?|pudding|loaf|loaves|biscuits?|cookies|cupcakes|muffins|pie|base|sponges?|brownies?|shortbread|rolls?)\b|\b(?:sandwich|fill|top|ice|frost|glaze|dust|split)\w*\b[^.;]{0,24}\b(?:cakes?|sponges?|buns?|biscuits?|cookies|cupcakes|muffins|loaf|loaves)\b|\b(?:pierce|prick|poke)\w*\b[^.;]{0,20}\b(?:cakes?|sponges?|loaf|loaves)\b|,\s*(?:and\s+)?sandwich\W*$|\b(?:over|onto)\s+the\s+(?:cakes?|tart|pie|pudding|loaf|loaves|cupcakes|muffins|brownies?|cheesecake|meringue|sponges?|traybake)\b|\bover\s+(?:the\s+)?(?:hot|warm|cooled|cold|baked)\b(?!\s+(?:milk|cream|water|syrup|juice|chocolate|custard))|\b(?:unmould|turn out|invert|slice)\b[^.;]{0,12}\b(?:cakes?|puddings?|loaf|loaves|sponges?)\b|(?:^\W*|[.;]\s+)(?:layer|sandwich|assemble|stack)\b(?!\s+(?:the\s+)?(?:biscuits|sponge fingers|ladyfingers))|\b(?:once|when)\s+(?:it is |they are |completely |quite |fully |wholly )*(?:cool(?:ed)?|cold|baked)\b|\bdip\w*\s+(?:(?:the|each|every)\s+)?(?:\w+\s+)?(?:squares?|cakes?|biscuits?|cookies?|ends?|tops?|buns?|pieces?)\b|\bjust before (?:eating|serving)\b|\bwhile (?:still )?(?:hot|warm)\b",
    re.I,
)
TIN = re.compile(r"\b(?:tins?|pan|dish|tray|moulds?|cases|basin|cups)\b", re.I)
# "Roll into strips, fig down the middle, fold over": the dough, round what goes in.
ROLLED_ROUND = re.compile(
    r"\W*(?:roll|divide|cut|flatten|press)\b[^.;]{0,40},[^.;]{0,40}\b(?:down|in|along) the (?:middle|centre|center)\b",
    re.I,
)
# "Churn, adding the praline": a part goes into what is worked on.
ADDING_A_PART = re.compile(r"\W*[a-z]+(?:\s+[a-z]+){0,3},\s+adding\b", re.I)
# "Cover with the remaining chocolate": over all that is there.
COVERS_ALL = re.compile(
    r"\W*(?:then\s+)?(?:cover|top|seal|finish)\s+with\s+(?:the\s+)?(?:remaining|rest of|other half of)\b", re.I
)
# "Put a teaspoon in each": on what is there in them.
IN_EACH = re.compile(r"\W*(?:put|place|press|drop|spoon|pop|set)\b[^.;]{0,30}\b(?:in|on)(?:to)?\s+each\b", re.I)
ENDS_OVER = re.compile(
    r"^\W*(?:the\s+)?[a-z]{3,}(?:\s+(?:and|&)\s+[a-z]{3,})?\s+in\W*$|\b(?:slice|crumble|snip|dust|sift)\s+[^.]{0,25}\b(?:over|on top)\b|\barrange\b[^.]{0,25}\b(?:overlapping|in (?:concentric |neat )?(?:circles|rows|rings))\b|\b(?:spoon|pour|drizzle|spread|brush|pile|scatter|sprinkle|dollop|dot|fan|arrange|lay|grate)\w*\b[^.]{0,25}\b(?:over|on top)\b|\band\s+(?:drizzle|spread|pipe|swirl)\W*$|[,;]\s*(?:then\s+|and\s+)?(?:pour|spoon)\s+(?:it\s+)?in\W*$|\bpile\w*\s+(?:it\s+|them\s+)?on\b|\b(?:spread|pour|spoon|melt|smooth|scatter|sprinkle)\w*\b[^.]{0,25}\bon\W*$",
    re.I,
)
IN_IT = re.compile(
    r"\s*(?:well\s+|gently\s+|quickly\s+)?(?:in\b(?!\s+(?:a|an|another|the)\s+(?:\w+\s+){0,2}(?:bowl|pan|saucepan|pot|jug|blender|processor|mixer|tin|dish|microwave|oven|heatproof))|to (?:a|the)\b|until\b|into\b|through\b|over\b|with\b)",
    re.I,
)
GOES_IN = re.compile(
    r"\b(?:into|to|over|onto|through)\s+the\b|\b(?:pour|tip|strain|whisk|stir|beat)\s+(?:on|in|over)\s+(?:the|all)\b|\b(?:it|them|this|these)\s+(?:in|through)\b|\b(?:stir|fold|mix|beat|whisk|swirl)\s+in\b|\b(?:ripple|swirl|marble|fold|stir)\b[^.;]{0,30}\bthrough\b",
    re.I,
)
# "Mash and stir in the vanilla", "sift the sugar over and fold in": more for what is there.
MORE_FOR_IT = re.compile(
    r"\band\s+(?:strain|pour|tip|sieve)\s+(?:it\s+|them\s+)?into\s+the\s+(?:pan|saucepan|bowl)\W*$|^\W*(?:take out|remove|keep back|hold back|set aside|reserve|scoop out|measure out)\s+(?:about\s+)?(?:a|one|two)\s+(?:third|quarter|handful|cupful|cup|fifth|half)s?\s*,|^\W*[a-z]+\s+(?:and|then)\s+(?:(?:stir|fold|mix|beat|whisk)\s+in|add)\b|,\s*(?:then\s+)?fold\s+(?:it\s+|them\s+)?in\b(?=\s+and\b|\s*(?:[,.;]|$))|\bsift\w*\b[^.;]*?(?:\bover\b|\bfold\w*\s+(?:it\s+|them\s+)?in\b|\binto\s+(?:the|this|it)\b|\band\s+add\b)",
    re.I,
)
# "Whisk the yolks with the sugar, pour on the hot milk": a bowl of its own, and what was heated goes into it.
POURED_ON = re.compile(
    r"[,;]\s*(?:then\s+)?(?:(?:slowly|gradually|whisk)\s+)?(?:pour|add|strain)\w*\s+(?:(?:on|in|over)\s+)?(?:an?\s+(?:ladle\w*|little|spoonful|splash)\s+of\s+)?the\s+(?:hot|warm|boiling|infused|scalded|steaming)\b",
    re.I,
)
INTO_VESSELS = re.compile(
    r"\binto\s+(?:the|each|your|\d+|two|four|six|eight)\s+(?:[a-z]+\s+)?(?:moulds?|molds?|ramekins?|glass(?:es)?|pots|jars)\b",
    re.I,
)
SPREADS_WHAT_IS_MADE = re.compile(
    r"\W*(?:then\s+)?(?:spread|spoon|pour|pile|swirl|smooth|drizzle)\s+(?:it\s+)?(?:over|on|onto|on top of)\s+the\b",
    re.I,
)
FOLDED = re.compile(
    r"\b(?:fold|stir|beat|mix|whisk|add)\b[^.;]{0,14}\b(?:it|them|this|these)\s+(?:in|into|through)\b"
    r"|(?:\band|\bthen|,)\s+(?:fold|stir|beat|mix|whisk)\s+(?:in|through)(?:\W*$|\s+(?:by turns|in turns?|alternately|(?:by|in) thirds|in (?:\w+ )?batches)\b)"
    r"|\band\s+(?:pour|tip|add|scrape|stir|beat|whisk|fold)\s+(?:it\s+|them\s+|this\s+)?(?:in)?to\s+the\s+(?:pan|saucepan|bowl|mix\w*|batter|dry|flour|rest)\b",
    re.I,
)
# "While it bakes, make the custard.": says what comes, and is nothing to wait for.
ANNOUNCES = re.compile(
    r"^\W*(?:(?:meanwhile|in the meantime|now|next|first|then|while [^,]{3,40}),?\s+)?(?:make|prepare)\s+(?:the|your)\s+[\w' -]{2,30}\W*$",
    re.I,
)
GOES_ON = frozenset(
    {"cover", "brush", "sprinkle", "scatter", "top", "dust", "spread", "drizzle", "swirl", "arrange", "layer", "pipe"}
)
# "combine, don't overmix": all bowls that are open.
# "Fold together, sift in the flour"
FOLDS_TOGETHER = re.compile(
    r"\W*(?:then\s+)?(?:fold|mix|stir|combine)\s+(?:the two\s+)?together\b(?=\s*[,;])|\W*fold\s+in\s+with\b", re.I
)
COMBINES = re.compile(
    r"\W*(?:combine|mix together|bring together|join)\b\W*(?:$|[.,;]|(?<=-\s)|(?<=–\s)|gently\b|until\b|just\b)", re.I
)
POURED_IN = re.compile(
    r"\b(?:pour|spoon|tip|spread|scrape|pile|put|fill)\b[^.;]{0,30}\b(?:into|in|over|onto|on)\s+(?:the|your|each)\b",
    re.I,
)
# "bake each 5 minutes at 180 C" tells an oven's heat, and bakes.
BAKES_FIRST = re.compile(r"\W*(?:then\s+)?bake\b(?!\s*[:=])", re.I)
# "Fill.", "Poke holes, pour the soak", "soak in the syrup", "toss in the crumbs": with what is there.
LAID_ON = re.compile(
    r"\W*(?:fill|poke|prick|sandwich|split|dip|brush\s+(?:it\s+|them\s+|lightly\s+)?with|(?:soak|toss|roll|drench)\s+in|(?:cut|scoop|hollow|make|press)\b[^.;]{0,30}\bin\s+each)\b",
    re.I,
)
# "Serve warm, dusted with cinnamon": with all that is done.
# "Stir into the creamed mixture": what was just mixed goes into what was mixed before.
INTO_THE_MIX = re.compile(
    r"\b(?:in)?to\s+(?:the|your)\s+batter\b|\b(?:in)?to\s+(?:(?:the|your)\s+)?(?:creamed|butter|egg|banana|sugar|wet|other|first|yolk|cheese)(?:\s+(?:and\s+)?\w+)?\s+(?:mixture|mix|bowl|batter)\b",
    re.I,
)
# "Pour in the melted mix and the egg": what was warmed apart.
BACK_TO_A_MIX = re.compile(
    r"\bthe\s+(?:melted|warm(?:ed)?|hot|cooled|beaten|whisked|wet|liquid)\s+(?:[a-z]+\s+){0,2}?(?:mix|mixture|stuff|things|ingredients)\b",
    re.I,
)
ONTO_BASE = re.compile(
    r"\b(?:pour|spoon|spread|tip|scrape|pile|smooth)\w*\b[^.;]{0,24}\b(?:on|onto|over|into|in|on top of)\s+(?:(?:the|your)\s+)?(?:\w+\s+)?(?:base|crust|case|shell)\b"
    r"|^\W*(?:top|layer|finish)\s+with\b",
    re.I,
)
SPREAD_ON_BASE = re.compile(
    r"(?:[,;.]|\band|\bthen)\s+(?:then\s+)?(?:spread|pour|spoon|pile|tip|smooth|scrape)\s+(?:it\s+)?(?:on|onto|over|on top of)\s+(?:(?:the|your)\s+)?(?:\w+\s+)?(?:base|crust)\b",
    re.I,
)
OVER_IT = re.compile(r"\b(?:spoon|pour|drizzle|spread|pile|scatter)\s+over\W*$|^\W*(?:fill|dip)\b", re.I)
FILLS = re.compile(r"\W*(?:then\s+)?(?:pour|spoon|scrape|tip|ladle|pipe|transfer|turn|fill)\w*\b", re.I)
# "Line the dish with the pastry, fill, lid with the rest": with what is ready.
FILLS_IT = re.compile(r"[,;]\s*(?:then\s+)?fill\b(?=\s*(?:[,.;]|and\b|$))", re.I)
FILLS_A_CASE = re.compile(
    r"\W*(?:then\s+)?fill\s+(?:the|each|your|all)\b[^.;]{0,30}\b(?:cases?|shells?|crusts?|tins?|moulds|cups|holes)\b",
    re.I,
)
# "Spread warm over one pastry sheet": what was just made.
SPREADS = re.compile(r"\W*(?:spread|spoon|pour|pipe|tip)\s+(?:[a-z]+\s+)?(?:over|on|onto)\b", re.I)
# "Roast for 15 minutes": the fruit alone.
ROASTS = re.compile(r"\W*(?:then\s+|and\s+)?roast\b", re.I)
SERVES = re.compile(r"\W*(?:to\s+)?serve\b", re.I)
# "Roll to 30 x 40 cm": what was kneaded and has risen.
SHAPES = re.compile(
    r"\W*roll\s+out\b(?!\s+the\s+(?:\w+\s+)?(?:pastry|marzipan|fondant|paste|icing)\b)|\W*(?:knock back|roll|pat|press|flatten|stretch)\b(?:\s+it)?(?:\s+out)?\s+(?:in)?to\s+(?:an?\s+)?(?:\w+\s+)?(?:\d|rectangle|square|oblong|circle)"
    r"|\W*(?:knock back|roll|pat|press|flatten|stretch)\b(?:\s+(?:it|the \w+))?(?:\s+out)?\s+(?:onto|on|in|into|over)\b",
    re.I,
)
# "Shape in balls, roll in the sugar": of the dough that is there.
IN_PIECES = re.compile(
    r"\W*(?:shape|form|roll|scoop|divide|cut|break off|pinch off|make)\b[^.;]{0,30}\b(?:balls?|rounds?|logs?|pieces|circles|sausages|buns|lumps)\b",
    re.I,
)
# "Fry spoonfuls 2 minutes", "drop spoonfuls over the peaches": of the batter that is there.
BY_SPOONFULS = re.compile(
    r"\b(?:drop|fry|cook|dollop|bake|put|place)\w*\b[^.;]{0,24}\b(?:spoonfuls|dollops|ladlefuls|scoopfuls|heaps|mounds)\b",
    re.I,
)
# "Spread two thirds of the batter in the tin, spoon over the custard": the main mixture goes in too.
OF_THE_BATTER = re.compile(
    r"\b(?:spread|spoon|pour|put|scrape|tip|press|dollop)\b[^.;,]{0,30}\bthe\s+(?:(?:cake|muffin|sponge|main)\s+)?(?:batter|dough|(?:cake|sponge)\s+mix(?:ture)?)\b",
    re.I,
)
# What goes into or onto something else.
GOES_WITH = re.compile(
    r"\b(?:filling|topping|sauce|glaze|icing|frosting|drizzle|syrup|compote|jam|cream|buttercream|custard|curd)s?$",
    re.I,
)
MAIN_PART = re.compile(r"\b(?:cakes?|sponges?|batter|dough|muffins?|cupcakes?|loaf|buns?|brownies?)$", re.I)
BRINGS_TOGETHER = re.compile(r"\W*bring\s+(?:it\s+|the \w+\s+)?together\b", re.I)
# "When nearly boiling, rain in the semolina."
WHEN_IT_IS = re.compile(
    r"\W*(?:when|once|as soon as)\s+(?:it|they|this|the|nearly|almost|hot|cool|cold|thick|smooth|boiling|melted)\b[^,;.]*,",
    re.I,
)
# "Cut the pastry in half": what was bought, and nothing goes before.
OF_PASTRY = re.compile(r"\W*(?:cut|unroll|roll(?: out)?|line|lay out)\b[^.;,]{0,24}\b(?:pastry|filo|phyllo)\b", re.I)
# "Spoon in the cooled custard": what was made before.
IN_WITH_IT = re.compile(
    r"\W*(?:then\s+)?(?:spoon|pour|ladle|tip|scrape)\s+in\s+(?:the|your)\s+(?:\w+\s+)?(?:custard|filling|mixture|batter|cream|curd)\b",
    re.I,
)
# "Stir together flour, soda and spices": apart, whatever stands ready.
TOGETHER = re.compile(r"\W*(?:then\s+)?(?:stir|mix|sift|whisk)\s+together\b(?!\s+(?:with|until|in)\b)", re.I)
# "Spread over half the cream, repeat the layers": of what was made before.
HALF_OF_IT = re.compile(
    r"\bpour\s+half\s+(?:of\s+it\s+)?over\b|\b(?:spread|spoon|pour|pipe)\b[^.;]{0,14}\bhalf\s+(?:of\s+)?the\s+(?:\w+\s+)?(?:cream|mixture|mix|filling|custard|mousse)\b",
    re.I,
)
# "Dissolve the soda in the water and stir into the butter": into that and nothing else.
INTO_WHAT_IS_THERE = re.compile(
    r"\band\s+(?:stir|whisk|beat|fold|mix|pour|tip)\s+(?:it\s+|them\s+)?(?:in)?to\s+the\b", re.I
)
# "Fold in, in three goes."
FOLDS_IN = re.compile(r"\W*(?:then\s+|gently\s+)?(?:fold|stir)\s+(?:it\s+|them\s+)?in\b\W*(?:$|[,.;(])", re.I)
NOUN_AFTER = re.compile(r"\b(?:the|a|an|off|from|your|of|low|medium|high|gentle|moderate|into|well)\s+$", re.I)
TAKES_ALL = re.compile(
    r"\b(?:spoon|pour|scrape|tip|spread|divide|transfer|turn|put|press|fill|assemble|pile|layer|cover|lay)\w*\b", re.I
)
# "Line a 23 cm tin", in the part that makes the pastry.
LINED_WITH_DOUGH = re.compile(
    r"[^:]*\b(?:pastry|dough|crust|shell|case)\b[^:]*:\s*(?:and\s+)?line\b(?!.*\b(?:paper|parchment|liners?|foil|cling|grease|butter)\b)",
    re.I,
)


# "Divide among the cases, sprinkle with the seeds": what is there already is divided.
SHARED_OUT = re.compile(
    r"\W*(?:then\s+)?(?:divide|spoon|scoop|share|portion)\s+(?:it\s+|evenly\s+)?(?:between|among|amongst|into)\b", re.I
)
ENDS_TOGETHER = re.compile(
    r"^\W*(?:stir|mix|combine|whisk|sift|toss|rub|blend)\s+(?!in\b|into\b|on\b)[^.;]*\btogether\W*$", re.I
)
# "While they bake, boil the sugar": something else in the meantime.
WHILE_IT_BAKES = re.compile(
    r"\b(?:while|as)\s+(?:it|they|that|this|those|the\s+(?:\w+\s+){0,2}\w+)\s+(?:is\s+|are\s+)?(?:bak(?:e|es|ing)|cook(?:s|ing)?|(?:in|rests?\s+in)\s+the\s+oven)\b",
    re.I,
)


def is_baked(text: str, wait: Wait | None) -> bool:
    """Return whether a step bakes: by what it waits for, or by its words."""
    if wait is not None and wait.kind == "bake":
        return True
    told = WHILE_IT_BAKES.sub("", text)
    return bool(re.search(r"\b(?:bake|roast)\b", told, re.I) and not re.search(r"\bbaked\b", told, re.I))


def first_verb(text: str) -> tuple[str, int] | None:
    """Return the first verb of a step and where it ends; "off the heat" is none."""
    for word in re.finditer(r"[^\W\d_]+", text):
        verb = verb_of(word[0])
        if verb and not NOUN_AFTER.search(text[: word.start()]):
            return verb, word.end()
    return None
