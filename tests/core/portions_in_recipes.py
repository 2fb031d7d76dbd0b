"""Whole little recipes, each with its number of portions told somewhere else, and that number (common practice, no published source)."""

from __future__ import annotations

IN_A_RECIPE: tuple[tuple[str, int], ...] = (
    (
        "Treacle Tart (8 slices, or 6 big ones)\n\n250 g pastry\n400 g golden syrup\n150 g breadcrumbs\n1 lemon\n\nFill, bake 30 min at 180C.",
        8,
    ),
    (
        "Scones\n\nMakes 8 if you use a 7 cm cutter, 12 with a 5 cm one\n\n225 g flour\n50 g butter\n150 ml milk\n\nBake 12 min at 220C.",
        8,
    ),
    (
        "Brownies\n\nIngredients (9 x 13 pan, 24 brownies)\n250 g butter\n300 g sugar\n4 eggs\n150 g flour\n80 g cocoa\n\nBake 25 min at 350F.",
        24,
    ),
    ("Pancakes\n\nIngredients for 4 (two each)\n200 g flour\n2 eggs\n300 ml milk\n\nFry.", 4),
    (
        "Trifle\n\nServes 10. Can be made 2 days ahead.\n\n300 g sponge\n500 ml custard\n300 ml cream\n400 g raspberries\n\nLayer.",
        10,
    ),
    ("Trifle\n\nServes 10; halve for 5\n\n300 g sponge\n500 ml custard\n300 ml cream\n400 g raspberries\n\nLayer.", 10),
    ("Cupcakes\n12 of these, 24 if mini\n\n120 g butter\n120 g sugar\n2 eggs\n120 g flour\n\nBake 18 min at 180C.", 12),
    (
        "Biscuits\n\n250 g flour\n125 g butter\n75 g sugar\n\nRoll, cut 6 cm rounds. 160C, 15 min. Yields 2 trays (28 biscuits)",
        28,
    ),
    (
        "Fudge\n\n400 g sugar\n300 ml cream\n100 g butter\n\nBoil to 116C, beat, pour in a 20 cm tin, set. 6 x 6 = 36 pieces.",
        36,
    ),
    (
        "Rice pudding for four greedy or six polite\n\n100 g pudding rice\n1 litre milk\n50 g sugar\n\nBake 2 h at 150C.",
        4,
    ),
    ("Cake\nServings (24 cm cake): 12\n\n200 g butter\n200 g sugar\n4 eggs\n200 g flour\n\nBake 40 min at 180C.", 12),
    (
        "Muffins\nYield: 1 dozen jumbo or 2 dozen regular muffins\n\n300 g flour\n150 g sugar\n2 eggs\n100 ml oil\n200 ml milk\n\nBake 20 min at 190C.",
        12,
    ),
    ("Flan\n1 flan = 6 portions\n\n500 ml milk\n4 eggs\n150 g sugar\n\nBake 50 min at 150C.", 6),
    ("Ice lollies\n\n500 g strawberries\n50 g sugar\n1 lime\n\nBlend, pour in 8 x 80 ml moulds, freeze 6 h.", 8),
    (
        "Cheesecake\n(10-12 people)\n\n300 g biscuits\n100 g butter\n600 g cream cheese\n150 g sugar\n3 eggs\n\nBake 50 min at 150C.",
        10,
    ),
    (
        "Cookies\n\n250 g flour\n150 g butter\n150 g sugar\n1 egg\n\nBake 10 min at 190C. Recipe can be doubled. Makes 20 (40 doubled).",
        20,
    ),
    (
        "Doughnuts\nMakes 10 doughnuts + holes\n\n500 g flour\n60 g butter\n50 g sugar\n2 eggs\n200 ml milk\n7 g yeast\n\nFry at 175C.",
        10,
    ),
    (
        "Apple turnovers\n\n1 sheet puff pastry (320 g)\n2 apples\n40 g sugar\n\nCut the pastry in 6 squares, fill, fold. 200C, 20 min.",
        6,
    ),
    ("Swiss roll\n\n3 eggs\n75 g sugar\n75 g flour\n150 g jam\n\nBake 10 min at 200C. Roll. 8 slices each 2 cm.", 8),
    ("Panna cotta\nFor 5 moulds of 120 ml\n\n400 ml cream\n150 ml milk\n60 g sugar\n3 leaves gelatine\n\nSet.", 5),
    (
        "Profiteroles\nabout 30, serves 6\n\n75 g flour\n50 g butter\n2 eggs\n300 ml cream\n100 g chocolate\n\nBake 25 min at 200C.",
        6,
    ),
    (
        "Baked custards\nMakes 6 in 150 ml ramekins or 4 in 225 ml\n\n500 ml milk\n3 eggs\n50 g sugar\n\nBake 40 min at 150C.",
        6,
    ),
    ("Traybake\n\n225 g butter\n225 g sugar\n4 eggs\n275 g flour\n\n180C, 35 min. Ice when cold. 21 pieces (3x7).", 21),
    ("Choc mousse\nServes 4 (or just 2, ahem)\n\n200 g chocolate\n4 eggs\n\nFold. Chill.", 4),
    ("Baked oats - one portion\n\n50 g oats\n1 banana\n1 egg\n\nBake 25 min at 180C.", 1),
    ("Sorbet\n700 ml, about 6 servings\n\n500 g raspberries\n150 g sugar\n150 ml water\n\nChurn.", 6),
    (
        "Crumble (serves six; five in our house)\n\n800 g apples\n200 g flour\n100 g butter\n100 g sugar\n\nBake 40 min at 190C.",
        6,
    ),
    (
        "Focaccia dolce\n8-10 pezzi da una teglia 30x40\n\n500 g flour\n300 ml water\n60 g sugar\n60 ml oil\n7 g yeast\n\nBake 25 min at 200C.",
        8,
    ),
    (
        "Tarte tatin\n6 parts\nPrép 20 min\nCuisson 35 min\n\n6 apples\n100 g sugar\n80 g butter\n250 g puff pastry\n\n200C.",
        6,
    ),
    ("Kladdkaka 8 bitar\n\n100 g butter\n2 eggs\n200 g sugar\n60 g flour\n30 g cocoa\n\n175 grader, 18 min.", 8),
    (
        "Galettes\n\n200 g farine\n100 g beurre\n80 g sucre\n1 oeuf\n\nPour une trentaine de galettes. Four 180°C, 12 min.",
        30,
    ),
    (
        "Gingerbread men\n\n350 g flour\n125 g butter\n175 g sugar\n4 tbsp syrup\n1 egg\n\nBake 12 min at 180C. Makes 16 men (10 cm) plus scraps",
        16,
    ),
    ("Rock cakes\n\n225 g flour\n75 g butter\n75 g sugar\n125 g currants\n1 egg\n\nDollop 10 heaps, 200C 15 min", 10),
    (
        "Bread pudding\n\n500 g bread\n500 ml milk\n200 g raisins\n100 g sugar\n2 eggs\n\nBake 1 h at 170C, cut 3 by 4.",
        12,
    ),
    ("Granola\n\n400 g oats\n100 g almonds\n80 g honey\n60 ml oil\n\nBake 30 min at 150C. 14 bowls' worth.", 14),
    (
        "Jam tarts\n\n200 g flour\n100 g butter\n150 g jam\n\nRoll, cut 15 with a fluted cutter, fill, bake 15 min at 190C.",
        15,
    ),
    ("Crème caramel\n\n500 ml milk\n4 eggs\n170 g sugar\n\nSix 150ml dariole moulds, 160C, 35 min.", 6),
    ("Date squares\n\n300 g dates\n200 g oats\n150 g flour\n150 g butter\n\n180C 30 min. Cuts into 16-20", 16),
    ("Yule log\nSlices 12-ish\n\n4 eggs\n100 g sugar\n65 g flour\n40 g cocoa\n300 ml cream\n\n200C 10 min", 12),
    (
        "Eccles cakes\n\n500 g puff pastry\n200 g currants\n75 g sugar\n50 g butter\n\nCut 9 circles. Fill. 200C 18 min.",
        9,
    ),
    (
        "Hot cross buns\n(dozen)\n\n500 g flour\n75 g sugar\n50 g butter\n300 ml milk\n7 g yeast\n150 g sultanas\n\n200C 20 min",
        12,
    ),
    (
        "Lemon bars\nfrom an 8 inch pan, 16 small\n\n125 g flour\n100 g butter\n200 g sugar\n3 eggs\n2 lemons\n\n350F 40 min",
        16,
    ),
    ("Chocolate truffles\nNumber: 35 Time: 1 h\n\n250 g chocolate\n150 ml cream\n25 g butter\n\nRoll.", 35),
    ("Fruit salad\nSix of you? Perfect.\n\n1 pineapple\n3 kiwis\n2 oranges\n20 g sugar\n\nMix.", 6),
    ("Fritters\n3-4 each for 4 people\n\n150 g flour\n2 eggs\n100 ml milk\n3 apples\n\nFry.", 4),
    ("Pavlova\nneeds 8 hungry guests\n\n4 egg whites\n220 g sugar\n300 ml cream\n\n120C 90 min", 8),
    ("Angel cake, tube pan, 14 good wedges\n\n12 egg whites\n250 g sugar\n120 g flour\n\n170C 40 min", 14),
)
