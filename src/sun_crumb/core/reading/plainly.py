"""Ways of writing a line that say the same as a plainer one: put into the plainer words before the line is taken apart."""

from __future__ import annotations

import re
from functools import cache

from sun_crumb.core.reference import table

_AMOUNT = r"(?:\d+(?:[.,/]\d+)?|[½⅓⅔¼¾]|an?|one|two|three|four)"
_HOLDERS = (
    r"(?:pots?|tubs?|cartons?|bottles?|punnets?|packs?|packets?|pouch(?:es)?|bags?|bars?|blocks?|boxes|box|bricks?)"
)
_CITRUS = r"(?P<food>lemon|lime|orange|clementine|mandarin|grapefruit)s?"

# Each is a pattern, what stands in its place, and the words of which one is in every text that it fits, so that most texts are not searched for it; in this order.
_PLAIN: tuple[tuple[re.Pattern[str], str, str], ...] = (
    # "300ml pot double cream": what it is sold in says nothing more.
    (
        re.compile(rf"^(\d+(?:[.,]\d+)?\s*(?:g|kg|ml|cl|l|oz)\.?)\s+{_HOLDERS}\s+(?:of\s+)?(?=[a-z]|\d+\s*%)", re.I),
        r"\1 ",
        "bag|bar|block|bottle|box|brick|carton|pack|pot|pouch|punnet|tub",
    ),
    # "1 pot (125 g) plain yoghurt - keep the pot"
    (
        re.compile(rf"^(?:1|an?|one)\s+{_HOLDERS}\s*\(\s*(\d+\s*(?:g|ml))\s*\)\s*(?:of\s+)?(?=[a-z])", re.I),
        r"\1 ",
        "(",
    ),
    # "'bout a teacup of milk"
    (re.compile(r"^\W*bout\s+(?=\d|an?\b|half\b)", re.I), "about ", "bout"),
    # "about a pint of milk": as near as one is.
    (re.compile(r"^(?:about|roughly|around|nearly)\s+(?=an?\s+[a-z])", re.I), "", "about|around|nearly|roughly"),
    # "3 tbsp treacle + 1 of golden syrup": so many more of the same spoon.
    (
        re.compile(
            r"^(?P<many>[\d½⅓⅔¼¾]+)\s*(?P<of>tbsps?|tsps?|tablespoons?|teaspoons?|cups?|spoons?)\s+(?P<first>[^+&\d]+?)\s*(?:\+|&|\bplus\b|\band\b)\s*(?P<more>[\d½⅓⅔¼¾]+)\s+of\s+(?=[a-z])",
            re.I,
        ),
        r"\g<many> \g<of> \g<first> + \g<more> \g<of> ",
        " of ",
    ),
    # "30 g cocoa (+ 1 tbsp for rolling)"
    (re.compile(r"\(\s*(?:\+|plus)\s*(?=[\d½¼¾⅓⅔])(?![^()]*\bif\b)([^()]*)\)"), r"plus \1", "("),
    # "3 v. ripe bananas", "5% Greek yoghurt"
    (re.compile(r"\bv\.?\s+(?=(?:ripe|soft|hot|cold|strong|fresh|large|small|finely)\b)", re.I), "very ", "v |v."),
    (
        re.compile(r"(?<!\d)(?:[1-3](?:[.,]\d)?)\s*%\s*(?:fat\s+)?(?=greek(?:[ -]style)? yogh?urt)", re.I),
        "low-fat ",
        "%",
    ),
    (re.compile(r"(?<!\d)(?:[4-9]|10)\s*%\s*(?:fat\s+)?(?=greek(?:[ -]style)? yogh?urt)", re.I), "", "%"),
    # "juice, not from concentrate", "neutral oil such as canola": which one it is not, and one it may be.
    (re.compile(r",?\s*\(?\bnot (?:from )?concentrated?\b\)?", re.I), "", "concentrate"),
    (
        re.compile(r"(?<=[a-z]{3}),?\s*\(?(?:such as|e\.g\.?|for example)\s+[^()]*\)?$", re.I),
        "",
        "e.g|for example|such as",
    ),
    # "mixed w/ 1 tbsp vinegar"
    (re.compile(r"(?<=\s)w/\s*(?=\S)", re.I), "with ", "w/"),
    # "Eggs (3, medium, beaten)": how many stands first in the bracket.
    (re.compile(r"^([a-z][a-z ]+?)\s*\((\d{1,2}),\s*([^()]+)\)$", re.I), r"\2 \1, \3", "("),
    # "walnut-sized piece of butter"
    (re.compile(r"^(?:an?\s+)?walnut[- ]sized?\s+(?:piece|knob|lump)\s+(?:of\s+)?", re.I), "15 g ", "walnut"),
    # "a walnut of lard", "butter the size of an egg" (common practice)
    (re.compile(r"^(?:an?\s+)?walnut\s+of\s+(?=(?:butter|lard|fat|margarine|dripping)\b)", re.I), "15 g ", "walnut"),
    (
        re.compile(r"^(butter|lard|fat|margarine),?\s+(?:about\s+)?the\s+size\s+of\s+an?\s+egg\b", re.I),
        r"57 g \1",
        "size",
    ),
    (
        re.compile(r"^(butter|lard|fat|margarine),?\s+(?:about\s+)?the\s+size\s+of\s+a\s+walnut\b", re.I),
        r"15 g \1",
        "size",
    ),
    # "1 yeast cake": three fifths of an ounce (common practice)
    (
        re.compile(
            r"^(\d)\s+(?:cakes?\s+(?:of\s+)?(?:compressed\s+|fresh\s+)?yeast|(?:compressed\s+)?yeast\s+cakes?)\b", re.I
        ),
        r"\1 x 17 g fresh yeast",
        "yeast",
    ),
    # "eggs - 3 if large, 4 if small"
    (re.compile(r"^eggs?\s*[-–:,]\s*(\d{1,2})\s+if\s+large\b.*$", re.I), r"\1 large eggs", "if"),
    (re.compile(r"^(\d{1,2})\s+eggs?,?\s+if\s+large\b.*$", re.I), r"\1 large eggs", "if"),
    # "3x eggs", "Eggs x 3"
    (re.compile(r"^(\d{1,2})\s*[x×]\s+(?=[a-z])", re.I), r"\1 ", "x|×"),
    (re.compile(r"^([A-Za-z][A-Za-z ]+?)\s*[x×]\s*(\d{1,2})$"), r"\2 \1", "x|×"),
    # "1 package marshmallows OR 4 cups miniature ones": the first is taken.
    (
        re.compile(
            rf"(?<=[a-z]{{3}})\s*,?\s+or\s+(?:about\s+)?{_AMOUNT}\s+(?:cups?|tbsps?|tablespoons?|tsps?|teaspoons?|g|oz|ml)\b\.?\s+[a-z].*$",
            re.I,
        ),
        "",
        "or",
    ),
    # "250 ml cream (35 %)": how fat it is says which it is; "Greek yoghurt 10 %" is as fat as it comes.
    (re.compile(r"\bcream\s*\(?\s*(3\d|4\d)\s*%\s*(?:fat)?\)?", re.I), r"double cream (\1 % fat)", "cream"),
    (re.compile(r"\b(greek yogh?urt)\s+(?:10|9|8)\s*%(?!\s*off)", re.I), r"\1", "greek yog"),
    # "Lemon zest from 2 lemons", "a squeeze of lime", "1 tsp almond ext."
    (
        re.compile(
            r"^(lemon|lime|orange|grapefruit)\s+(zest|juice|rind|peel),?\s+(?:of|from)\s+(\S+)\s+(?:\w+\s+)?\1s?$", re.I
        ),
        r"\3 \1 \2",
        "grapefruit|lemon|lime|orange",
    ),
    (
        re.compile(r"\b((?:good |generous |little )?squeeze)\s+(?:of\s+)?(lemon|lime|orange)$", re.I),
        r"\1 of \2 juice",
        "squeeze",
    ),
    (re.compile(r"(?<=[a-z] )ext\b\.?(?=\W*$|,)", re.I), "extract", "ext"),
    # "of the best dark chocolate you can find", "caramel sauce from a jar": where it comes from.
    (
        re.compile(
            r"\b(?:of\s+)?(?:the\s+best|the\s+finest|any)\s+([a-z].*?)\s+(?:that\s+)?(?:you|I)\s+can\s+(?:find|get|afford|buy)\b",
            re.I,
        ),
        r"\1",
        "can",
    ),
    (
        re.compile(
            r"(?<=[a-z]),?\s+(?:\(?out of|from) (?:a|the) (?:jar|packet|carton|bottle|pack|shop|store|freezer|fridge)\b\)?",
            re.I,
        ),
        "",
        "from|out of",
    ),
    # "half a pound of butter beaten to a cream", "a wine-glass of rum"
    (re.compile(r",?\s+(?:beaten|worked|rubbed|creamed) to a (?:\w+ )?cream\b", re.I), ", creamed", " to a "),
    (re.compile(r"\bwine-glass", re.I), "wineglass", "wine-glass"),
    (
        re.compile(
            r"\s*(?:\+|\bplus\b|\band\b)\s+(?:a\s+)?(?:wee\s+)?(?:bit|little)(?:\s+(?:more|extra))?(?:\s+for\b.*)?$",
            re.I,
        ),
        "",
        "bit|little",
    ),
    (re.compile(r"(?<=[a-z])\s+from\s+(?:the\s+|a\s+)?(?:tin|can|jar)\s*$", re.I), "", "from"),
    # Short for brown, and what a fruit is cut into.
    (re.compile(r"\bbr(?:n|wn)?\.?\s+sugar\b", re.I), "brown sugar", "sugar"),
    (
        re.compile(
            r",?\s+cut\s+in(?:to)?\s+(?:\w+\s+)?(?:chunks|pieces|slices|wedges|cubes|strips|lengths|dice)$", re.I
        ),
        ", cut up",
        "cut",
    ),
    # "apple purée without sugar", "custard made with powder", "5cm cinnamon stick"
    (
        re.compile(
            r"^((?:[\d½¼¾⅓⅔.,/ ]+|an?\s+)(?:[a-z]+\b\.?\s+)?(?:\([^)]*\)\s*)?)([^(),]*?),?\s*\(?without (?:any )?(?:added )?sugar\)?",
            re.I,
        ),
        r"\1unsweetened \2",
        "without ",
    ),
    (
        re.compile(r"(?<=custard),?\s+(?:made|mixed)\s+(?:up\s+)?(?:with|from)\s+(?:custard\s+)?powder\b", re.I),
        "",
        "powder",
    ),
    (
        re.compile(
            r"^(?:an?\s+)?\d+(?:[.,]\d)?[- ]?(?:cm|inch|in|\")[- ]+(?:piece\s+(?:of\s+)?|stick\s+of\s+)?cinnamon(?:\s+stick|\s+quill)?",
            re.I,
        ),
        "1 stick cinnamon",
        "cinnamon",
    ),
    # "Lemon, zest of 1"
    (
        re.compile(
            r"^(lemon|lime|orange|grapefruit)s?\s*[,:–-]\s*(?:(?:finely|freshly)\s+)?(?:grated\s+)?(zest|juice|rind)\s+of\s+(\d|½|half|one)(?:\s+(?:large|small|medium|unwaxed))?$",
            re.I,
        ),
        r"\3 \1 \2",
        "juice|rind|zest",
    ),
    # "a handful of berries on top"
    (re.compile(r"(?<=[a-z]{3})\s+on top$", re.I), ", to top", "on top"),
    # Ginger by the teaspoon is the ground one.
    (
        re.compile(
            r"^((?:[\d½¼¾⅓⅔⅛./ ]+|an?\s+|half\s+an?\s+)(?:heaped\s+|level\s+)?(?:tsps?|teaspoons?|t)\b\.?)\s+(?:of\s+)?ginger$",
            re.I,
        ),
        r"\1 ground ginger",
        "ginger",
    ),
    # "1 dessert spoon", "2 table spoons"
    (re.compile(r"\b(dessert|table|tea)[ -]spoon(s|fuls?)?\b", re.I), r"\1spoon\2", "spoon"),
    # What lies in syrup is no syrup.
    (re.compile(r"\b((?:stem|preserved) ginger)\s+in\s+(?:its\s+)?syrup\b", re.I), r"\1", " ginger"),
    # Ginger that is grated, or comes as a piece, is the fresh root.
    (
        re.compile(r"\b(?:freshly\s+)?(?:grated|minced|finely chopped)\s+(?:root\s+)?ginger\b(?! root)", re.I),
        "fresh ginger, grated",
        "ginger",
    ),
    (
        re.compile(
            r"^(?:an?\s+)?\d(?:[.,]\d)?\s*-?cm\s+(?:piece|knob|thumb|chunk|length)\s+(?:of\s+)?(?:fresh\s+)?ginger\b",
            re.I,
        ),
        "1 piece fresh ginger",
        "ginger",
    ),
    (re.compile(r"\b(piece|knob|thumb|inch|cm)\b(.{0,20}?\bof\s+)ginger\b", re.I), r"\1\2fresh ginger", "ginger"),
    # "4 mangoes (about 2 kg whole; 1.2 kg flesh)": what is eaten counts.
    (
        re.compile(
            r"\([^()]*?\b\d[\d.,]*\s*(?:kg|g|oz|lbs?)\s+(?:whole|unpeeled|gross|unprepared|with\s+\w+)\b\s*[;,/]\s*((?:about\s+)?\d[\d.,]*\s*(?:kg|g|oz|lbs?)\s+(?:flesh|peeled|prepared|net|edible)[^()]*)\)",
            re.I,
        ),
        r"(\1)",
        "gross|unpeeled|unprepared|whole|with",
    ),
    # An American baking square is an ounce.
    (
        re.compile(
            r"^([\d½]+)\s*(?:sq\.?|squares?)\s+(?:of\s+)?(?=(?:semi-?\s?sweet|unsweet\w*|bitter-?\s?sweet|baking)\b)",
            re.I,
        ),
        r"\1 oz ",
        "sq",
    ),
    # American tins by their numbers, what they weigh (common practice).
    (re.compile(r"(?:#|\bno\.?\s*)2\s*(?:1/2|½)\s+(?=cans?\b)", re.I), "29-oz ", "can"),
    (re.compile(r"(?:#|\bno\.?\s*)2\s+(?=cans?\b)", re.I), "20-oz ", "can"),
    (re.compile(r"(?:#|\bno\.?\s*)30[03]\s+(?=cans?\b)", re.I), "15-oz ", "30"),
    (re.compile(r"^([\d½]+)\s*sq\.?\s+(?:of\s+)?(?=choc)", re.I), r"\1 squares ", "sq"),
    # "1 packet (8) trifle sponges"
    (
        re.compile(r"^(?:1|an?|one)\s+(?:packet|pack|pkt|bag|box)\s+\((\d{1,2})\)\s+(?=[a-z])", re.I),
        r"\1 ",
        "bag|box|pack|pkt",
    ),
    (re.compile(r"\bripe but firm\b|\bfirm but ripe\b", re.I), "ripe", "firm but ripe|ripe but firm"),
    (re.compile(r"\ba\.\s?p\. flour\b", re.I), "all-purpose flour", "p. flour"),
    # "lemons, zest -> 2", "lemon juice -> 2 lemons"
    (
        re.compile(r"^(lemon|lime|orange)s?,? (zest|juice)(?:d| only)?,?\s*(?:->|[-:–])?\s*(\d)$", re.I),
        r"\2 of \3 \1s",
        "juice|zest",
    ),
    (re.compile(r"^(lemon|lime|orange) (zest|juice)\s*(?:->|[-:–])\s*(\d) \1s?$", re.I), r"\2 of \3 \1s", "juice|zest"),
    # "7 cups peeled, sliced apples": two things done to it, and no name before the comma.
    (
        re.compile(
            r"\b(peeled|cored|pitted|stoned|hulled|washed|trimmed|seeded|deseeded|toasted|roasted|softened|chopped|sliced|diced|shredded|grated|halved|quartered)\s*,\s+(?=(?:and\s+|then\s+|(?:finely|thinly|coarsely|roughly)\s+)?(?:peeled|cored|pitted|sliced|diced|chopped|shredded|grated|halved|quartered|ground|toasted|unsalted|salted|ripe)\s+[a-z])",
            re.I,
        ),
        r"\1 ",
        ",",
    ),
    (re.compile(r"\bpie dough\b", re.I), "pie crust", "pie dough"),
    # "pie crust for a double-crust 9-inch pie"
    (
        re.compile(
            r"^(?:pie crust|(?:shortcrust |pie )?pastry|crust)\s+for\s+(?:an?\s+)?(?:\d{1,2}[- ]?(?:inch|in|cm)\b\.?\s+)?(?:double|two|2)[- ]crust\b.*$",
            re.I,
        ),
        "2 pie crusts",
        "crust",
    ),
    (
        re.compile(
            r"^(?:pie crust|(?:shortcrust |pie )?pastry|crust)\s+for\s+(?:an?\s+|one\s+)?(?:\d{1,2}[- ]?(?:inch|in|cm)\b\.?\s+)?(?:single|one|1)[- ]crust\b.*$",
            re.I,
        ),
        "1 pie crust",
        "crust",
    ),
    # "lemon, 1 (juice)"
    (
        re.compile(r"^(lemon|lime|orange)s?,?\s*[-–:]?\s*(\d|½|half)\s*\(\s*(juice|zest)(?:d| only)?\s*\)$", re.I),
        r"\2 \1 \3",
        "juice|zest",
    ),
    # "pastry for a single 9-inch crust"
    (
        re.compile(
            r"\b\d{1,2}(?:[.,]\d)?\s*-?\s*(?:inch|in\.|\"|cm)\s+(?=(?:pie\s+)?(?:crust|pie|tart|shell|case)\b)", re.I
        ),
        "",
        "case|crust|pie|shell|tart",
    ),
    # "0% Greek yoghurt"
    (
        re.compile(r"\b0\s*%\s*(?:fat\s+)?(?=(?:plain |natural )?(?:greek|yog|quark|fromage|skyr))", re.I),
        "fat-free ",
        "%",
    ),
    # "almonds 12, slivered": how many stands behind the name.
    (re.compile(r"^([^\W\d_][a-z ]{2,24}[a-z]) (\d{1,2}), ([a-z][a-z ]*)$", re.I), r"\2 \1, \3", ", "),
    # "farina 00 (plain flour) gr. 250"
    (re.compile(r"\b(?:tipo |type |typ )?00\b(?=\s|$)", re.I), "", "00"),
    (re.compile(r"^([^\d].*?)\s+(gr?|ml|kg)\.\s*(\d[\d.,]*)$", re.I), r"\1 \3 \2", "g.|gr.|ml."),
    # "Cardamom powder - half tsp", "passion fruit pulp (2)"
    (
        re.compile(
            r"^([^\d]+?)\s*[-–:]\s*((?:half|quarter|one|two|an?)(?: an?)? (?:tsp|teaspoon|tbsp|tablespoon|cup)s?)$",
            re.I,
        ),
        r"\2 \1",
        "cup|spoon|tbsp|tsp",
    ),
    (
        re.compile(
            r"^((?:passion fruit(?: pulp)?|eggs?(?: yolks?| whites?)?|bananas?|apples?|pears?|lemons?|limes?|oranges?|peaches|mangoe?s?))\s*\((\d{1,2})\)$",
            re.I,
        ),
        r"\2 \1",
        "(",
    ),
    # "Lemons, 3 (juice; zest of one)"
    (re.compile(r"^(lemon|lime|orange)(s?),?\s+(\d{1,2})\s*(?=\(.*\bof\b)", re.I), r"\3 \1\2 ", "zest|juice"),
    (re.compile(r"\bover-ripe\b", re.I), "overripe", "over-ripe"),
    (re.compile(r"\b((?:shortcrust|sweet) pastry) (?:case|shell|base|crust)\b", re.I), r"\1", "pastry"),
    (
        re.compile(
            r"\bpack(?:et)?s?\s+(?:of\s+)?(?:raspberry|strawberry|blackcurrant|cherry|lime|lemon|orange)\s+jelly\b(?! crystals)",
            re.I,
        ),
        "packet jelly tablet",
        "jelly",
    ),
    # "1 and a half teaspoons"
    (re.compile(r"^(\d{1,2}) and a half\b", re.I), r"\1½", "and a half"),
    # "Apricots, ripe - 8, halved", "lemon, 1/2, juice"
    (
        re.compile(
            r"^([^\W\d_][a-z ]{2,20}), (ripe|small|large|medium|firm|fresh)\s*[-–:]\s*(\d{1,2}), ([a-z &]+)$", re.I
        ),
        r"\3 \2 \1, \4",
        "- ",
    ),
    (
        re.compile(r"^(lemon|lime|orange)s?,\s*(1/2|½|\d)\s*,\s*(juice|zest)(?:d| only)?$", re.I),
        r"\2 \1 \3",
        "juice|zest",
    ),
    # "1 strip lemon zest": a strip, and not the whole fruit's
    (
        re.compile(r"^(?:1|one|an?)\s+strip\s+(?:of\s+)?(lemon|orange|lime)\s+(zest|peel|rind)$", re.I),
        r"1.5 g \1 \2",
        "strip",
    ),
    (
        re.compile(r"^(?:2|two)\s+strips\s+(?:of\s+)?(lemon|orange|lime)\s+(zest|peel|rind)$", re.I),
        r"3 g \1 \2",
        "strip",
    ),
    (
        re.compile(r"^(?:3|three)\s+strips\s+(?:of\s+)?(lemon|orange|lime)\s+(zest|peel|rind)$", re.I),
        r"4.5 g \1 \2",
        "strip",
    ),
    # "Eggs, 2 large, beaten", "Eggs (2), beaten"
    (
        re.compile(
            r"^(eggs?(?: yolks?| whites?)?),?\s*\(?(\d{1,2})\)?\s*(large |medium |small )?,?\s*(large|medium|small)?,\s*([a-z ]+)$",
            re.I,
        ),
        r"\2 \3\4 \1, \5",
        "egg",
    ),
    # "rhubarb in 3 cm bits"
    (
        re.compile(
            r"\s+(?:cut\s+)?in(?:to)?\s+\d+(?:[.,]\d)?\s*-?\s*(?:cm|mm|inch|in)\.?\s+(?:bits|pieces|chunks|lengths|dice|cubes|slices|batons)$",
            re.I,
        ),
        "",
        "bits|pieces|chunks|lengths|dice|cubes|slices|batons",
    ),
    # "Egg whites, 5 (about 175 g)"
    (re.compile(r"^(eggs?(?: yolks?| whites?)?),?\s+(\d{1,2})\s*(?=\()", re.I), r"\2 \1 ", "egg"),
    # "eggs 2 beaten", "lemons 2 (juice and zest)"
    (re.compile(r"^([^\W\d_][a-z ]{2,24}[a-z]) (\d{1,2}) ([a-z]+(?:ed|en))$", re.I), r"\2 \1, \3", "ed|en"),
    (re.compile(r"^([^\W\d_][a-z ]{2,24}[a-z]) (\d{1,2}) \(([^()\d]+)\)$", re.I), r"\2 \1, \3", "("),
    (re.compile(r"^saffron,? (?:a )?(few|\d+) (strands|threads)$", re.I), r"\1 \2 saffron", "saffron"),
    (re.compile(r"\b(?:sweet )?dessert wine\b", re.I), "sweet wine", "dessert wine"),
    (re.compile(r"\bcurds\b", re.I), "curd cheese", "curds"),
    # "1 x 400 g tin chickpeas, drained (240 g drained weight)": what is left counts.
    (
        re.compile(
            rf"^(?:{_AMOUNT}\s*[x×]?\s*)?(?:\(?\d[\d.,]*\s*(?:g|kg|oz)\)?\s*)?(?:tins?|cans?|jars?)\s+(?:of\s+)?([^()]+?),?\s*(?:drained\s*)?\((?:about\s+|or\s+)?(\d[\d.,]*\s*(?:g|oz))\s+(?:drained(?:\s+weight)?|when drained)\)",
            re.I,
        ),
        r"\2 \1 (drained weight)",
        "drained",
    ),
)
_ZEST_AND_PART = re.compile(
    rf"^(?:(?:finely\s+)?grated\s+)?zest\s+(?:of\s+)?(?P<count>\d+|one|an?|two)\s+(?:unwaxed\s+|large\s+|small\s+)?{_CITRUS}\s*(?:,|and|&|\+|plus)\s*(?:the\s+)?juice\s+(?:of\s+)?(?P<part>half|½|1/2|a half|one|1|a quarter|¼|\d)(?:\s+(?:of\s+)?(?:it|them|an?\s+)?(?:lemon|lime|orange)?s?)?$",
    re.I,
)
_ZEST_OF_TWO = re.compile(
    r"^(?:finely\s+)?(?:grated\s+)?(?:zest|rind)\s+(?:of\s+)?(?P<a>\d|one|an?)\s+(?P<first>lemon|orange|lime)s?\s*(?:and|&|\+)\s*(?P<b>\d|one|an?)\s+(?P<second>lemon|orange|lime)s?$",
    re.I,
)
_ZEST_AND_MEASURED = re.compile(
    rf"^(?:(?:finely\s+)?(?:grated\s+)?zest\s+(?:of\s+)?)?(?P<count>\d+|one|an?)\s+(?:unwaxed\s+|large\s+|small\s+)?{_CITRUS}[,:]?\s*\(?(?:(?:finely\s+)?(?:grated\s+)?zest)?\s*(?:and|&|\+|plus)\s*(?P<much>\d[^()]*?(?:\b|(?<=\d))(?:tbsps?|tablespoons?|tsps?|teaspoons?|ml|cups?)\b)\.?\s+(?:of\s+)?(?:the\s+|its\s+)?juice\)?$",
    re.I,
)
# "zest 1 orange, 2 tbsp juice"
_ZEST_THEN_MEASURED = re.compile(
    rf"^(?:finely\s+)?(?:grated\s+)?zest\s+(?:of\s+)?(?P<count>\d+|one|an?|½|1/2|half)\s+(?:unwaxed\s+|large\s+|small\s+)?{_CITRUS},\s*(?P<much>\d[^(),]*?(?:\b|(?<=\d))(?:tbsps?|tablespoons?|tsps?|teaspoons?|ml|cups?)\b)\.?\s+(?:of\s+)?(?:the\s+|its\s+)?juice$",
    re.I,
)
_OF_SO_MANY = re.compile(
    rf"^(?:(?P<count>\d|two|three|four)\s+(?:\w+\s+)?{_CITRUS}|(?P<named>lemon|lime|orange|grapefruit)s?(?:,?\s+(?P<behind>\d))?)\s*[,:(–-]+\s*"
    r"(?:(?:finely\s+)?grated\s+)?(?:the\s+)?(?P<one>zest|juice)\s+of\s+(?P<of_one>\d|one|two|three|half|both|all|them all|all of them)\s*(?:[,;]|and|&|\+)+\s*(?:the\s+)?"
    r"(?P<two>zest|juice)\s+of\s+(?P<of_two>\d|one|two|three|half|both|all|them all|all of them)(?:\s+(?:of them|lemons?|limes?|oranges?))?(?:\s+for\s+(?:the\s+)?\w+)?\)?$",
    re.I,
)
# "juice of 3 lemons + zest of 2"
_JUICE_AND_ZEST = re.compile(
    rf"^(?:the\s+)?juice\s+(?:of\s+)?(?P<a>\d|two|three|four)\s+{_CITRUS}\s*(?:,|and|&|\+|plus)\s*(?:the\s+)?(?:finely\s+)?(?:grated\s+)?zest\s+(?:of\s+)?(?P<b>\d|one|two|three)$",
    re.I,
)
_HALF = {"half": "1/2", "a half": "1/2", "a quarter": "1/4"}
_SPICES = re.compile(r"\b(?:cinnamon|nutmeg|cloves?|allspice|mace|cardamom|mixed spice)\b", re.I)
# "Butter & sugar, 100g each"
_EACH_BEHIND = re.compile(
    r"^(?P<one>[a-z]+(?: [a-z]+)?)\s*(?:&|and|\+)\s*(?P<two>[a-z]+(?: [a-z]+)?)\s*[,:–-]?\s*\(?(?P<amount>\d+(?:[.,]\d+)?\s*[a-z]+)\s+(?:of\s+)?each\)?$",
    re.I,
)
_EACH = re.compile(
    r"^(?P<amount>.{1,24}?)\s+(?:each|of each)\s*(?:of\s+|:\s*)?(?:ground\s+)?(?P<foods>[a-z][a-z ,&-]+)$", re.I
)


@cache
def _short() -> dict[str, str]:
    """Return the words that a hand in a hurry shortens, and no food's name is written like."""
    return {row["short"]: row["words"] for row in table("short_words")}


@cache
def _shortened() -> re.Pattern[str]:
    longest_first = sorted(_short(), key=len, reverse=True)
    words = "|".join(re.escape(k).replace(r"\ ", r"\.?\s+") for k in longest_first)
    return re.compile(rf"(?<![\w-])({words})\b\.?(?![\w'’-])", re.I)


@cache
def _needed() -> tuple[tuple[re.Pattern[str], str, tuple[str, ...]], ...]:
    return tuple((pattern, instead, tuple(needs.split("|"))) for pattern, instead, needs in _PLAIN)


def plainly(text: str) -> str:
    """Return *text*, one ingredient line, in plainer words of the same meaning.

    Examples
    --------
    >>> plainly("300ml pot double cream")
    '300ml double cream'
    >>> plainly("Eggs x 3")
    '3 Eggs'
    """
    text = _shortened().sub(lambda found: _short()[re.sub(r"\.?\s+", " ", found[1].lower())], text)
    small = text.lower()
    for pattern, instead, needs in _needed():
        for word in needs:
            if word in small:
                text, count = pattern.subn(instead, text, count=1)
                small = text.lower() if count else small
                break
    return _COCOA.sub(_by_its_cocoa, text, count=1)


def _by_its_cocoa(found: re.Match[str]) -> str:
    """Return dark chocolate by the share of cocoa that the pantry knows nearest below it: "dark chocolate (66 %)" is a 60 % one."""
    share = int(found["before"] or found["behind"] or 0)
    known = next((k for k in COCOA_SHARES if share >= k), 0)
    return f"{known}% dark chocolate" if known else found[0]


# The dark chocolates of the pantry, by how much of them is cocoa at least [%].
COCOA_SHARES = (85, 70, 60, 45)
_COCOA = re.compile(
    r"(?:\b(?P<before>4[5-9]|[5-9]\d)\s*%\s*(?:(?:cocoa|cacao)\s+)?)?(?<!milk )(?<!white )\b(?:(?:dark|bitter|bittersweet|plain|semi-?sweet)\s+)?choc(?:olate)?\b(?!\s*(?:chips?|chunks?|drops))"
    r"(?:,?\s*\(?\s*(?:min(?:imum)?\.?|at least|about|around|approx\.?)?\s*(?P<behind>4[5-9]|[5-9]\d)\s*%\s*(?:or (?:more|higher|above)\s*)?(?:cocoa|cacao)?(?:\s+solids)?\s*\)?)?",
    re.I,
)


def zest_and_part_juice(text: str) -> list[str] | None:
    """Read "zest 1 lemon + juice of half": two statements, or None."""
    if two := _ZEST_OF_TWO.match(text):
        return [f"{two['a']} {two['first']} zest", f"{two['b']} {two['second']} zest"]
    if shared := _OF_SO_MANY.match(text):
        food, count = shared["food"] or shared["named"], shared["count"] or shared["behind"]
        told = ((shared["of_one"], shared["one"]), (shared["of_two"], shared["two"]))
        return [f"{count if re.match('both|all|them', of, re.I) else of} {food} {part}" for of, part in told]
    if beside := _ZEST_AND_MEASURED.match(text) or _ZEST_THEN_MEASURED.match(text):
        return [f"{beside['count']} {beside['food']} zest", f"{beside['much']} {beside['food']} juice"]
    if turned := _JUICE_AND_ZEST.match(text):
        return [f"{turned['a']} {turned['food']} juice", f"{turned['b']} {turned['food']} zest"]
    if not (found := _ZEST_AND_PART.match(text)):
        return None
    part = found["part"].lower()
    return [f"{found['count']} {found['food']} zest", f"{_HALF.get(part, part)} {found['food']} juice"]


def made_up(text: str) -> list[str] | None:
    """Read "1 egg, made up to 150 ml with milk": the rest of it is milk; or None."""
    if not (found := _MADE_UP.match(text)):
        return None
    count = {"a": 1, "an": 1, "one": 1, "two": 2, "three": 3}.get(found["count"].lower()) or int(found["count"])
    return [f"{found['count']} {found['eggs']}", f"{found['all']} minus {EGG_ML * count} ml {found['liquid']}"]


# What a hen's egg of middle size fills [ml] (common practice).
EGG_ML = 46
_MADE_UP = re.compile(
    r"^(?P<count>\d|an?|one|two|three)\s+(?P<eggs>(?:\w+\s+)?eggs?),?\s+(?:beaten,?\s+)?(?:and\s+)?made up to\s+(?P<all>.{1,24}?)\s+with\s+(?P<liquid>milk|buttermilk|water|cream)$",
    re.I,
)


def each_of_several(text: str) -> list[str] | None:
    """Read "1/2 tsp each: cinnamon, nutmeg, cloves": a statement for each, or None."""
    if behind := _EACH_BEHIND.match(text):
        return [f"{behind['amount']} {behind[food]}" for food in ("one", "two")]
    if not (found := _EACH.match(text)):
        return None
    foods = [part.strip() for part in re.split(r"\s*(?:,|&|\band\b)\s*", found["foods"]) if part.strip()]
    if len(foods) < 2:
        return None
    if _SPICES.search(found["foods"]):
        # Beside other spices ginger is the ground one.
        foods = ["ground ginger" if food.lower() == "ginger" else food for food in foods]
    return [f"{found['amount']} {food}" for food in foods]
