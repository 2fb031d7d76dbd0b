"""One ingredient statement taken apart: amounts, name, preparation, alternatives."""

from __future__ import annotations

import re
from dataclasses import dataclass, field, replace
from functools import lru_cache

from sun_crumb.core.quantities.measures import units
from sun_crumb.core.quantities.numbers import ONE
from sun_crumb.core.reading.amounts import form_in, read_amount, with_form
from sun_crumb.core.reading.records import Amount, ParsedLine

# What marks an item at its line's beginning: dashes, dots, arrows, squares and stars of all kinds, in a class of a pattern.
BULLETS = (
    "-–—=•*●○◦▢□☐✓✔·▪‣¤¶§»>+"
    "\\u2010-\\u2015\\u2020-\\u2027\\u203b\\u2042\\u2043\\u204c-\\u205d\\u2190-\\u21ff\\u2200-\\u22ff\\u2300-\\u23ff\\u2500-\\u27bf\\u2900-\\u2bff\\u3000-\\u3020"
)
_BULLET = re.compile(
    rf"^\s*(?:[{BULLETS}]+|\[[ xX]?\]|\(?[a-z]\)|\d{{1,2}}[.)](?=\s+[\d½⅓⅔¼¾⅛a-zA-Z]))\s*(?:\[[ xX]?\]\s*)?"
)
_OPTIONAL = re.compile(
    r"[,(]?\s*\b(?:optional(?:ly)?|if (?:desired|you like|liked|using|wanted|needed|necessary|required|stiff|dry|too (?:stiff|dry|thick))|or to taste)\b\s*\)?",
    re.I,
)
# "2 tbsp sugar (or 1 if you like it bitter)": another amount, and nothing that may be left out.
_SO_MANY_IF = re.compile(r"\bor\s+(?:just\s+|only\s+)?[\d½¼¾][\d/½¼¾]*(?:\s*[a-z]+)?\s+if\b", re.I)
PAREN = re.compile(r"[(\[]([^()\[\]]*)[)\]]")
_OF = re.compile(r"^\s*(?:(?:of|di|de)\b|d['’]|-|–|:)?\s*", re.I)
_JOIN = re.compile(
    r"^\s*(?:(?P<sum>\+|plus|and|&)|(?P<less>minus|less)(?=\s)|(?P<also>/|\||or|=|,|;|\[|\(|equals|i\.e\.|(?P<dash>[-–—])))\s*",
    re.I,
)
TRAILING = re.compile(
    r"(?:[,:;(\-–—=]|\s)\s*(?:about\s+|approx\.?\s+|~\s*)?(?P<amount>(?:\d|[½⅓⅔¼¾⅛]|(?:an?|one|two|three|four|half an?) (?:cups?|tbsp|tsp|tablespoons?|teaspoons?|pounds?|ounces?|pints?|gills?|lbs?)\b|(?<!for )(?:one(?<=[,:;(=–—-] one)|two|three|four|five|six|seven|eight|nine|ten|twelve)\s*$).*)$",
    re.I,
)
_LAST_PINCH = re.compile(
    r"(?:^|[\s,:–-])(?P<amount>(?:an?\s+)?(?:(?:good|tiny|small|big|large|generous|wee)\s+)?(?:pinch|dash|handful|knob|splash)(?:es)?)$",
    re.I,
)
_ADDED = re.compile(r"\s+(?:\+|plus|and)\s+(?P<amount>[\d½⅓⅔¼¾⅛][^a-z]*[a-z]+\.?)$", re.I)
_STOP = re.compile(
    r"\s*(?:,|;|\s(?=for\s+(?:the|your|each)\s+[a-z]+(?:\s+[a-z]+)?\W*$)|\s(?=(?:soaked|steeped|plumped|dissolved|slaked|boiled|simmered|poached|stewed)\s+in\b|overnight\W*$)|\s(?=from\s+(?:an?|the|your)\s+[^,;]*[,;]?[^,;]*\b(?:loaf|baguette|brioche)\b)|\s[-–—]\s|(?<=[^\W\d_]{6})\.\s|(?<=[^\W\d_]{2})\.\s(?=[A-Z(])|\s(?=(?:pour|für|per|para|för|voor)\s+(?:l[ea]|les|den|die|das|il|el|het|de)?\s*(?:moule|plaque|form|blech|stampo|teglia|molde|formen|bakvorm)\b)|\s(?=(?:para\s+(?:rebozar|freír|espolvorear|decorar|engrasar|servir)|per\s+(?:spolverizzare|friggere|decorare|servire|guarnire)|pour\s+(?:saupoudrer|caraméliser|la\s+friture|servir|décorer)|zum\s+[^\W\d_]{4,}en|till\s+(?:garnering|pudring|servering|pensling|formen|rullning)|til\s+(?:pynt|drys|servering))\b)|\s+(?:for|to)\s+(?=(?:the\s+)?(?:\w+ing\b|dust|dip\b|get it\b|loosen|thin\b|bind\b|fry\b|scatter\b|brush\b|moisten|slacken|taste|serve|grease|decorate|garnish|finish|fill\b|sandwich\b|tops?\b|roll\b|sprinkle|(?:bottom|base of the tin)\b|tins?\b|pans?\b|dish\b|moulds?\b|molds?\b|trays?\b|ramekins?\b|bowl\b|coat|drizzle|(?:caramel|sauce|glaze|custard|syrup|crust|base|crumble|pastry|sponge|batter|meringue|topping|filling|icing|frosting|dough|cake|streusel)\W*$)))\s*",
    re.I,
)
# "1 lb 2 oz": the smaller unit after the larger one is added.
_RUN_ON = {("lb", "oz"), ("kg", "g"), ("l", "ml"), ("cup", "tbsp"), ("tbsp", "tsp")}
# In brackets, two amounts of two foods say how the food is made ("1 tbsp flax + 3 tbsp water"), not how much it is.
_MADE_OF = re.compile(
    r"[a-z]{3,}\s*(?:\+|&|\bplus\b|\band\b|\bmixed with\b|\bin\b)\s*(?:\d|[½⅓⅔¼¾⅛])[^a-z]*[a-z]+\.?\s+[a-z]{3,}", re.I
)
_OWN = r"(?:the\s+|their\s+|its\s+)?"
# Words that say that a weight still holds peel, stone, core or shell.
_GROSS = (
    (
        "any",
        re.compile(
            r"\b(?:before (?:peeling|stoning|pitting|coring|shelling)|(?:whole|gross|un\w+ed) weight|weighed (?:whole|unpeeled|with everything)|unprepared)\b",
            re.I,
        ),
    ),
    ("unpeeled", re.compile(rf"\bunpeeled\b|\b(?:with|in)\s+{_OWN}(?:skin|peel|rind)s?\b|\bskins?\s+on\b", re.I)),
    (
        "unstoned",
        re.compile(rf"\b(?:unpitted|unstoned)\b|\bwith\s+{_OWN}(?:stone|pit)s?\b|\b(?:stone|pit)s?\s+in\b", re.I),
    ),
    ("uncored", re.compile(rf"\buncored\b|\bwith\s+{_OWN}cores?\b", re.I)),
    ("unshelled", re.compile(rf"\bunshelled\b|\b(?:with|in)\s+{_OWN}shells?\b", re.I)),
)


# "Ägg - 2 st": so many of them
_PIECES_ABROAD = re.compile(r"(?<=[-–—:=]\s\d)\s?(?:st|stk|szt)\.?$", re.I)
# "half-pound butter", "teaspoonful baking powder"
_HALF_A = re.compile(r"\bhalf[- ](?=(?:tsp|tbsp|pound|pint|ounce|cup|teaspoon|tablespoon|litre|liter|kilo)\w*)", re.I)
_UNIT_ALONE = re.compile(r"^(?=(?:tea|table|dessert)?spoonful\b|cupful\b|wineglassful\b|teacupful\b)", re.I)


def clean(text: str) -> str:
    """Return a line without bullets, control characters and doubled blanks."""
    if not text.isprintable():
        text = "".join(c if c.isprintable() else " " for c in text)
    text = text.replace("\u2044", "/").replace("\u00a0", " ").replace("\u2009", " ").replace("\u202f", " ")
    text = re.sub(r"(?:\s\.){3,}|\.{3,}|…|(?<=\s)\.\.(?=\s)", " - ", text)
    text = re.sub(r"\s+", " ", text).strip()
    text = _PIECES_ABROAD.sub("", text)
    text = _UNIT_ALONE.sub("1 ", _HALF_A.sub("half a ", _BULLET.sub("", text, count=1)))
    return re.sub(r":\s?[-–—]$", ":", text.strip()).rstrip(".;,").strip()


@lru_cache(maxsize=4096)
def parse_line(text: str) -> ParsedLine:
    """Return *text*, one cleaned ingredient statement, taken apart.

    Examples
    --------
    >>> line = parse_line("1 cup plus 2 tbsp (140 g) flour, sifted")
    >>> [a.unit for a in line.sums], line.also[0].low, line.name, line.preparation
    (['cup', 'tbsp'], 140.0, 'flour', 'sifted')
    """
    said = None if _SO_MANY_IF.search(text) else _OPTIONAL.search(text)
    is_optional = said is not None and "taste" not in said[0].lower()
    body = _OPTIONAL.sub(" ", text).strip(" :–-") if said else text
    draft = _Statement()
    at = 0
    if first := read_amount(body):
        draft.sums.append(first[0])
        at = _more_amounts(body, first[1], draft.sums, draft.also)
    draft.take_name(_OF.sub("", body[at:], count=1))
    draft.take_added()
    draft.take_asides()
    draft.take_restated()
    name, alternatives = _alternatives(re.sub(r"\s+", " ", draft.name).strip(" -–:,.*"))
    form = form_in(f"{name} {draft.preparation}")
    draft.take_size(name)
    gross = next((kind for kind, words in _GROSS if words.search(text)), "")
    if gross:
        name = re.sub(r"\s+", " ", dict(_GROSS)[gross].sub(" ", name)).strip()
    return ParsedLine(
        text=text,
        sums=tuple(draft.sums),
        also=tuple(draft.also),
        name=name,
        preparation=draft.preparation,
        is_optional=is_optional,
        alternatives=alternatives,
        form=form,
        gross=gross,
    )


def _alternatives(name: str) -> tuple[str, tuple[str, ...]]:
    """Return the first of the foods that a name offers, and the others: "butter or margarine"."""
    parts = re.split(r"\s+(?:or|/)\s+|\s*/\s*", name)
    if len(parts) < 2 or any(len(p) < 2 for p in parts):
        return name, ()
    return parts[0].strip(), tuple(
        re.sub(r"^(?:use|even|other|another|any|some other)\s+", "", p.strip()) for p in parts[1:]
    )


@dataclass(slots=True)
class _Statement:
    """An ingredient statement being taken apart."""

    sums: list[Amount] = field(default_factory=list)
    also: list[Amount] = field(default_factory=list)
    name: str = ""
    preparation: str = ""
    asides: list[str] = field(default_factory=list)

    def take_name(self, rest: str) -> None:
        """Take name, preparation and asides of what stands after the amount; else the amount that stands behind them."""
        self.asides = PAREN.findall(rest)
        plain = PAREN.sub(" , ", rest) if self.asides else rest
        plain = plain.replace("(", " ").replace(")", " ")
        cut = _STOP.search(plain)
        while cut and cut.start() == 0:
            plain = plain[cut.end() :]
            cut = _STOP.search(plain)
        self.name, self.preparation = (plain[: cut.start()], plain[cut.end() :]) if cut else (plain, "")
        if not self.sums:
            self._take_pinch(rest)
        if not self.sums:
            self._take_trailing(rest)

    def _take_pinch(self, rest: str) -> None:
        last = _LAST_PINCH.search(rest)
        found = read_amount(last["amount"]) if last else None
        if last and found:
            self.sums.append(found[0])
            self.name, self.preparation = rest[: last.start()], ""

    def _take_trailing(self, rest: str) -> None:
        trailing = TRAILING.search(rest)
        found = read_amount(trailing["amount"]) if trailing else None
        if trailing and not found and (strength := _STRENGTH.match(trailing["amount"])):
            # "Cream 35% fat 150 g": how strong it is is no amount.
            trailing = TRAILING.search(rest, trailing.start("amount") + strength.end())
            found = read_amount(trailing["amount"]) if trailing else None
        if not trailing or not found:
            return
        amount, end = found
        left = trailing["amount"][end:]
        if amount.unit or not left.strip():
            self.sums.append(amount)
            _more_amounts(trailing["amount"], end, self.sums, self.also)
            before = rest[: trailing.start()]
            self.name = _STOP.split(re.split(r"[,(]", before)[0].strip(), maxsplit=1)[0]
            # "Ginger, ground - 1 tbsp": what is done to it may stand before its amount.
            told = [part.strip() for part in PAREN.sub(" ", before).split(",")[1:]]
            self.preparation = ", ".join(part for part in (*told, left.strip(" ),;")) if part)
            # "mouka (flour) 200 g": a bracket in front of the amount says more of the food.
            self.asides = [aside for aside in PAREN.findall(before) if not ONE.search(aside)]

    def take_added(self) -> None:
        """Take the amount that a name ends with: "flour plus 2 tbsp"."""
        added = _ADDED.search(self.name) if self.sums else None
        if added and (found := read_amount(added["amount"], words=False)) and found[0].unit:
            self.sums.append(found[0])
            self.name = self.name[: added.start()]

    def take_asides(self) -> None:
        """Take the amounts that stand in brackets; the other asides are preparation."""
        kept = [aside for aside in self.asides if not self._takes_aside(aside)]
        self.asides = kept

    def _takes_aside(self, aside: str) -> bool:
        if _ANOTHER_KIND.match(aside):
            return True
        if _ITS_MEASURE.match(aside):
            return False
        if (
            not ONE.search(aside)
            or _MADE_OF.search(aside)
            or _LISTS.search(aside)
            or _IN_PARTS.search(aside)
            or _ON_CONDITION.search(aside)
        ):
            return False
        # "(about 3 carrots / 220 g)": the part that measures.
        parts = [aside, *_OR_ELSE.split(aside)[1:]]
        tried = [read_amount(_RESTATES.sub("", part.strip())) for part in parts]
        told = [one for one in tried if one and (one[0].unit or one[0].size)]
        if not told:
            return False
        found = told[0]
        amount = with_form(found[0], re.sub(r"\bpur[ée]e\b", "puréed", aside))
        if self.sums and self.sums[0].middle > 1 and _EACH_OF_THEM.search(aside):
            amount = replace(amount, low=amount.low * self.sums[0].low, high=amount.high * self.sums[0].high)
        self.also.append(amount)
        # "(about 1 1/4 cups or 300 g)"
        self.also += [one[0] for one in told[1:] if one[0].unit and units()[one[0].unit].kind == "mass"]
        return True

    def take_restated(self) -> None:
        """Take an amount that the preparation says again ("chopped, about 120 g"); join the asides to the preparation."""
        if self.sums and not self.also and (weight := self._weight_within()):
            self.also.append(weight)
        if self.sums and not self.also:
            inner = _SAID_AGAIN.search(self.preparation)
            found = read_amount(inner.group(1), words=False) if inner else None
            if found and found[0].unit and units()[found[0].unit].kind in ("mass", "volume"):
                self.also.append(with_form(found[0], self.preparation))
        parts = (p.strip(" ,;") for p in (*self.asides, self.preparation))
        self.preparation = ", ".join(p for p in parts if p)

    def _weight_within(self) -> Amount | None:
        """Return the weight that the name of one thing holds: "1 yogur natural de 125 g", "1 sobre levadura 16 g"."""
        found = _ITS_WEIGHT.search(self.name)
        first = self.sums[0]
        if found is None or first.unit not in (None, "packet") or first.low != 1 or first.high != 1:
            return None
        told = read_amount(found["amount"], words=False)
        if told is None:
            return None
        self.name = self.name[: found.start()].strip()
        return told[0]

    def take_size(self, name: str) -> None:
        """Take the size that stands behind the food: "2 eggs, large"."""
        if self.sums and not self.sums[0].size and (size := _SIZE_BEHIND.search(f"{self.preparation} {name}")):
            self.sums[0] = replace(self.sums[0], size=size[1].lower().replace("-", " "))


# "custard (500 ml milk, 4 egg yolks, 60 g sugar)": what it is made of is not how much of it there is.
_LISTS = re.compile(r"(?:[\d½¼¾⅓⅔][^,;]*?[^\W\d_]{3,}[^,;\d]*,\s*){2}[\d½¼¾⅓⅔][^,;]*?[^\W\d_]{3,}")
# The weight that a thing's name ends with.
_ITS_WEIGHT = re.compile(r"\s+(?:de\s+|à\s+|of\s+)?(?P<amount>\d{1,3}(?:[.,]\d)?\s*(?:g|gr|ml))\.?$", re.I)
# "(1/2 cup if you like it less sweet)": another amount for another cake.
_ON_CONDITION = re.compile(r"\b(?:if|for (?:a )?(?:less|more|sweeter|lighter|extra)|would do|will do|unless)\b", re.I)
# "(3/4 cup + 1/4 cup)", "(50 g and 100 g)": what is used at a time.
_IN_PARTS = re.compile(r"^\s*[\d½⅓⅔¼¾⅛][^+&]*(?:\+|&|\band\b|\bthen\b)\s*[\d½⅓⅔¼¾⅛]", re.I)
# "(one mug is 250 ml)": what it is measured with.
_ITS_MEASURE = re.compile(r"^\s*(?:1|one|an?|my|the)\s+[a-z]+\s+(?:is|=|holds|being)\s", re.I)
# "(or 1 tsp dried)": so much of another food.
_ANOTHER_KIND = re.compile(r"^\s*or\b.*\b(?:dried|dry|fresh|frozen|instant|ground|powdered|tinned|canned)\s*$", re.I)
_OR_ELSE = re.compile(r"\s*[/,;]\s+|\s+or\s+(?=(?:about\s+)?\d+\s*(?:g|kg|oz|lbs?)\b)", re.I)
_STRENGTH = re.compile(r"\d+(?:[.,]\d+)?\s*%")
_EACH_OF_THEM = re.compile(r"\b(?:each|apiece|a piece|je|à)\b", re.I)
_RESTATES = re.compile(
    r"^(?:(?:or|~|≈|(?:mine|they|these|ours)\s+(?:came\s+(?:in\s+)?(?:to|at)|weigh(?:ed)?)|say|about|approx\.?|that'?s|total|weighing|each|=|flesh|peeled(?: weight)?|prepared(?: weight)?|net)\s*[:,]?\s*)+",
    re.I,
)
_SAID_AGAIN = re.compile(
    r"(?:\babout|\bapprox\.?|\bapproximately|\baround|\broughly|\bweighing|~|≈|,|\bor|=)\s*((?:\d|[½⅓⅔¼¾⅛]).*)$", re.I
)
_SIZE_BEHIND = re.compile(r"\b(small|medium|large|extra[- ]large)\b", re.I)


def _is_another(join: re.Match[str], amount: Amount, sums: list[Amount]) -> bool:
    """Return whether an amount behind a sign tells no more of the one before it: a count, pieces behind a comma, "1 cup - 2 tbsp"."""
    if amount.unit is None or (join["also"] in (",", ";") and units()[amount.unit].kind == "piece"):
        return True
    return bool(join["dash"]) and not (sums and (sums[-1].unit in _METRIC) != (amount.unit in _METRIC))


_METRIC = frozenset({"g", "kg", "ml", "l", "cl", "dl"})


def _more_amounts(text: str, at: int, sums: list[Amount], also: list[Amount]) -> int:
    """Read further amounts that follow one: added ("plus 2 tbsp") or restated ("/ 125 g", "(1 stick)")."""
    for _ in range(5):
        rest = text[at:]
        close = re.match(r"\s*[)\]]", rest)
        if close:
            at += close.end()
            continue
        join = _JOIN.match(rest)
        if not join:
            smaller = read_amount(text, at, words=False) if sums else None
            if smaller and (sums[-1].unit, smaller[0].unit) in _RUN_ON:
                sums.append(smaller[0])
                at = smaller[1]
                continue
            break
        found = read_amount(text, at + join.end(), words=False)
        if not found:
            break
        amount, end = found
        bracket = join["also"] in ("(", "[")
        if _is_another(join, amount, sums):
            break
        if bracket:
            inside = text[end:].split(")")[0]
            amount = with_form(amount, inside)
            if sums and sums[-1].middle > 1 and _EACH_OF_THEM.search(inside):
                # "2 cans (14 oz each)": so much in every one of them.
                amount = replace(amount, low=amount.low * sums[-1].low, high=amount.high * sums[-1].high)
            closing = text.find(")", end)
            end_of = closing + 1 if closing >= 0 else end
            also_here: list[Amount] = []
            _more_amounts(text[:closing] if closing >= 0 else text, end, [], also_here)
            also.append(amount)
            also.extend(also_here)
            at = end_of
            continue
        if join["less"]:
            # "2 cups minus 2 tbsp flour"
            sums.append(replace(amount, low=-amount.high, high=-amount.low))
        else:
            (sums if join["sum"] else also).append(amount)
        at = end
    return at
