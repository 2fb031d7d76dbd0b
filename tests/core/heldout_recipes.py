"""Whole recipes in odd hands, written before they were read, in two sets; docs/method.md tells how each came out at first.

Title; portions stated as sure, or None; components; oven [°C] and whether it is a fan's; grams from least to most by food.
"""

from __future__ import annotations

from tests.support.writer import Truth

RECIPES: tuple[tuple[str, Truth], ...] = (
    (
        "Nan's Sticky Ginger Squares (cuts into 20)\n\nMy nan made these every bonfire night. They keep up to 2 weeks in a tin!\n\nDRY\n225g plain flour\n1 tsp bicarb of soda\n1 tbsp ground ginger\n½ tsp salt\nWET\n115 g butter\n115 g dark muscovado sugar\n115 g black treacle\n115 g golden syrup\n250 ml milk\n1 egg\n\nHOW TO\nPreheat your oven to 160C fan (180 conventional).\nMelt butter, sugar, treacle and syrup over a low heat.\nStir into the dry things with the milk and the egg.\nBake for 50-60 minutes. Leave for 10 minutes before turning out.\n",
        Truth(
            "Nan's Sticky Ginger Squares",
            20,
            1,
            (180.0, False),
            {
                "plain_flour": (225.0, 225.0),
                "baking_soda": (4.0, 6.5),
                "ginger_ground": (4.0, 8.0),
                "butter": (115.0, 115.0),
                "dark_brown_sugar": (115.0, 115.0),
                "golden_syrup": (115.0, 115.0),
                "milk": (250.0, 262.0),
                "egg": (45.0, 62.0),
                "molasses": (115.0, 115.0),
            },
        ),
    ),
    (
        "LEMON POSSET\nServes four\n\n600ml double cream\n150g caster sugar\nZest and juice of 3 lemons\n\nStep 1: Put the cream and sugar in a pan, bring to 85 C and hold for 3 minutes.\nStep 2: Stir in lemon juice and zest. Cool 15 mins.\nStep 3: Pour in 4 glasses, chill for at least 3 hours.\n",
        Truth(
            "LEMON POSSET",
            4,
            1,
            None,
            {
                "double_cream": (585.0, 625.0),
                "caster_sugar": (150.0, 150.0),
                "lemon_juice": (90.0, 170.0),
                "lemon_zest": (6.0, 24.0),
            },
        ),
    ),
    (
        "Chocolate Chip Cookies\nMakes about 3 dozen\n\n2 1/4 c. all-purpose flour\n1 t. baking soda\n1 t. salt\n1 c. (2 sticks) butter, softened\n3/4 c. granulated sugar\n3/4 c. packed brown sugar\n2 lg. eggs\n2 t. vanilla extract\n2 c. (12-oz. pkg.) semi-sweet chocolate chips\n\nHeat oven to 375°F. Combine flour, baking soda and salt. Beat butter, both sugars and vanilla; add eggs. Stir in chips. Drop by rounded tablespoon onto ungreased sheets. Bake 9 to 11 min.\n",
        Truth(
            "Chocolate Chip Cookies",
            36,
            1,
            (191.0, False),
            {
                "plain_flour": (265.0, 330.0),
                "baking_soda": (4.0, 6.5),
                "butter": (220.0, 232.0),
                "white_sugar": (140.0, 160.0),
                "light_brown_sugar": (145.0, 175.0),
                "egg": (94.0, 125.0),
                "vanilla": (7.0, 11.0),
                "chocolate_chips": (335.0, 345.0),
            },
        ),
    ),
    (
        "Æblekage - Danish apple cake\n\nIngredients:\n\n- 1 kg apples\n- 1 dl sugar\n- 1 vanilla pod\n- 0,5 dl water\n\nTopping:\n\n- 150 g breadcrumbs\n- 75 g butter\n- 1 dl sugar\n- 2,5 dl whipping cream\n\nDirections:\n\n1. Peel and dice the apples. Cook them with sugar, water and vanilla for 15-20 minutes.\n2. Fry the breadcrumbs in butter and sugar until golden, 8 minutes.\n3. Layer in glasses. Top with cream.\n\nEnough for 6 people.\n",
        Truth(
            "Æblekage - Danish apple cake",
            6,
            2,
            None,
            {
                "apple": (700.0, 1000.0),
                "white_sugar": (160.0, 190.0),
                "breadcrumbs": (150.0, 150.0),
                "butter": (75.0, 75.0),
                "double_cream": (240.0, 265.0),
                "water": (50.0, 50.0),
            },
        ),
    ),
    (
        "🍰 Carrot cake — 12 slices 🍰\n\nFor the cake\n300g carrots (grated)  | 200g self raising flour\n175g light brown sugar | 150ml sunflower oil\n3 eggs                 | 1 tsp mixed spice\n100g walnuts           | 1 orange, zest only\n\nFor the frosting\n200g cream cheese      | 80g icing sugar\n\nMETHOD\nHeat oven to 180C/160C fan/gas 4. Grease and line a 20cm tin.\nMix everything for the cake, bake 45 mins. Cool completely. Beat frosting ingredients and spread.\n",
        Truth(
            "Carrot cake",
            12,
            2,
            (180.0, False),
            {
                "carrot": (300.0, 300.0),
                "self_raising_flour": (200.0, 200.0),
                "light_brown_sugar": (175.0, 175.0),
                "neutral_oil": (130.0, 142.0),
                "egg": (140.0, 190.0),
                "walnuts": (100.0, 100.0),
                "orange_zest": (3.0, 14.0),
                "cream_cheese": (200.0, 200.0),
                "icing_sugar": (80.0, 80.0),
            },
        ),
    ),
    (
        "Salted caramel sauce\n\nMakes 1 jar (about 350 ml)\n\n200 g white sugar\n90 g salted butter, cubed\n120 ml double cream, at room\ntemperature\n1 tsp flaky sea salt\n\nMelt the sugar in a heavy pan until it is amber, about 175 C on a thermometer. Whisk in the butter, then the\ncream. Boil for 1 minute. Keeps for 2 weeks in the fridge.\n",
        Truth(
            "Salted caramel sauce",
            None,
            1,
            None,
            {"white_sugar": (200.0, 200.0), "butter": (90.0, 90.0), "double_cream": (116.0, 126.0), "salt": (3.0, 7.0)},
        ),
    ),
    (
        "Energy balls\n\nPrep: 15 min. Yield: 18 balls\n\n1 cup rolled oats, 1/2 cup peanut butter, 1/3 cup honey, 1/2 cup chocolate chips, 2 tbsp ground flaxseed, 1 tsp vanilla, pinch of salt\n\nStir together, chill 30 minutes, roll into balls. Store in the fridge for up to 1 week.\n",
        Truth(
            "Energy balls",
            18,
            1,
            None,
            {
                "rolled_oats": (80.0, 105.0),
                "peanut_butter": (118.0, 140.0),
                "honey": (105.0, 120.0),
                "chocolate_chips": (80.0, 95.0),
                "ground_flax": (11.0, 18.0),
                "vanilla": (3.5, 5.5),
            },
        ),
    ),
    (
        "Banana bread\nOne 2-lb loaf (10 slices)\n\nIngredient | Amount\nRipe bananas | 3 medium\nPlain flour | 190 g\nSugar | 100 g\nButter, melted | 75 g\nEgg | 1 large\nBaking soda | 1 tsp\nSalt | 1 pinch\n\nInstructions\nMash the bananas with the melted butter. Add everything else. Bake at 350 F for 1 hour.\n",
        Truth(
            "Banana bread",
            10,
            1,
            (177.0, False),
            {
                "banana": (300.0, 400.0),
                "plain_flour": (190.0, 190.0),
                "white_sugar": (100.0, 100.0),
                "butter": (75.0, 75.0),
                "egg": (47.0, 63.0),
                "baking_soda": (4.0, 6.5),
            },
        ),
    ),
    (
        "Rhubarb & custard tray bake\n\n1 tray, cut in 20\n\nFor the sponge\n250 g soft butter\n250 g golden caster sugar\n4 eggs\n250 g self-raising flour\n1 tsp vanilla\n\nFor the top\n300 g rhubarb, in 2 cm pieces\n6 tbsp ready-made custard\n\nTo finish\n1 tbsp icing sugar\n\n1. Oven to 180°C (fan 160°C).\n2. Cream butter and sugar, add eggs, flour and vanilla.\n3. Spread in the tin, dot with rhubarb and custard. Bake for 40 to 45 minutes.\n4. Dust with the icing sugar.\n",
        Truth(
            "Rhubarb & custard tray bake",
            20,
            3,
            (180.0, False),
            {
                "butter": (250.0, 250.0),
                "caster_sugar": (250.0, 250.0),
                "egg": (185.0, 250.0),
                "self_raising_flour": (250.0, 250.0),
                "rhubarb": (300.0, 300.0),
                "icing_sugar": (6.0, 10.0),
            },
        ),
    ),
    (
        "Coconut macaroons\n\nGives roughly two dozen small ones.\n\nWhat you need\n3 egg whites\n150 g sugar\na pinch of cream of tartar\n250 g desiccated coconut\n1 level tbsp plain flour\n\nWhat to do\nWhisk the whites with the cream of tartar till stiff. Whisk in sugar. Fold in coconut and flour, plus 1 tsp almond extract.\nHeap onto a lined sheet. Bake at 160°C for 20-25 mins. They keep a week.\n",
        Truth(
            "Coconut macaroons",
            24,
            1,
            (160.0, False),
            {
                "egg_white": (90.0, 120.0),
                "white_sugar": (150.0, 150.0),
                "coconut_desiccated": (250.0, 250.0),
                "plain_flour": (7.0, 11.0),
            },
        ),
    ),
    (
        "PEAR & ALMOND TART\nserves 8-10\n\nPASTRY: 175g plain flour, 100g cold butter, 1 tbsp icing sugar, 1 egg yolk\nFILLING: 100g butter, 100g caster sugar, 2 eggs, 100g ground almonds, 3 ripe pears\n\nMake the pastry, rest 30 mins in the fridge, line a 23cm tart tin. Blind bake at 190C for 15 mins.\nBeat the filling ingredients without the pears. Spread, top with pear slices. Bake at 170C for 40 mins.\n",
        Truth(
            "PEAR & ALMOND TART",
            8,
            2,
            (190.0, False),
            {
                "plain_flour": (175.0, 175.0),
                "butter": (200.0, 200.0),
                "icing_sugar": (6.0, 10.0),
                "egg_yolk": (14.0, 22.0),
                "caster_sugar": (100.0, 100.0),
                "egg": (94.0, 125.0),
                "almond_flour": (100.0, 100.0),
                "pear": (400.0, 620.0),
            },
        ),
    ),
    (
        "Overnight oat pots (makes 4)\n\nThis is our weekday breakfast-dessert. It takes 5 minutes and keeps for 3 days.\n\nYou'll need:\n* 160 g rolled oats\n* 400 ml milk of your choice\n* 2 tbsp chia seeds\n* 2 tbsp maple syrup, plus more to serve\n* 150 g blueberries\n\nStir, divide between 4 jars, leave overnight.\n",
        Truth(
            "Overnight oat pots",
            4,
            1,
            None,
            {
                "rolled_oats": (160.0, 160.0),
                "chia_seeds": (18.0, 28.0),
                "maple_syrup": (38.0, 44.0),
                "blueberry": (150.0, 150.0),
            },
        ),
    ),
    (
        "Simple scones\n8 scones\n\n225 g self-raising flour\n55 g butter\n25 g sugar\n150 ml milk\npinch of salt\n\nHeat the oven to 220C/fan 200C/gas 7. Rub the butter into the flour and salt, stir in the sugar, then the milk. Pat out 2 cm thick, cut 8 rounds with a 5 cm cutter. Bake 12-15 min.\n",
        Truth(
            "Simple scones",
            8,
            1,
            (220.0, False),
            {
                "self_raising_flour": (225.0, 225.0),
                "butter": (55.0, 55.0),
                "white_sugar": (25.0, 25.0),
                "milk": (150.0, 158.0),
            },
        ),
    ),
    (
        "Peanut brittle\nMakes about 500 g\n\n300g sugar\n100ml water\n2 tbsp golden syrup\n200g salted peanuts\n25g butter\n1/2 tsp bicarb\n\nBoil sugar, water and syrup to 150 C. Off the heat stir in the rest, pour on a lined tray. Break up when cold. Store airtight up to 1 month.\n",
        Truth(
            "Peanut brittle",
            None,
            1,
            None,
            {
                "white_sugar": (300.0, 300.0),
                "water": (98.0, 102.0),
                "golden_syrup": (38.0, 46.0),
                "peanuts": (200.0, 200.0),
                "butter": (25.0, 25.0),
            },
        ),
    ),
    (
        "Lemon drizzle\n\nCake\n4 eggs, weighed in their shells, then the same of:\n225g butter\n225g caster sugar\n225g self raising flour\nzest 2 lemons\n\nDrizzle\njuice 2 lemons\n85g caster sugar\n\nCuts into 10 slices.\n\n180C/160C fan, 45-50 min.\nBeat everything for the cake, bake in a 2lb loaf tin. Mix the drizzle and pour over while warm.\n",
        Truth(
            "Lemon drizzle",
            10,
            2,
            (180.0, False),
            {
                "egg": (185.0, 250.0),
                "butter": (225.0, 225.0),
                "caster_sugar": (310.0, 310.0),
                "self_raising_flour": (225.0, 225.0),
                "lemon_zest": (4.0, 16.0),
                "lemon_juice": (60.0, 125.0),
            },
        ),
    ),
    (
        "Jump to recipe | Print | 4.8 stars (212 ratings)\n\nFluffy pumpkin pancakes\n\nBy the harbour kitchen\n\nHi friends! Fall is here and I'm obsessed.\n\nPrep Time 10 minutes\nCook Time 15 minutes\nServings 4 people\n\n1 1/2 cups (190 g) all-purpose flour\n1 tbsp baking powder\n1/2 tsp salt\n2 tbsp brown sugar\n1 cup (240 ml) milk\n3/4 cup pumpkin puree\n1 egg\n2 tbsp melted butter\n\nWhisk the dry ingredients. Whisk the wet. Combine. Cook on a greased pan over medium heat, 2 minutes a side.\n\nNutrition: Calories: 310kcal | Carbohydrates: 48g | Protein: 9g\n",
        Truth(
            "Fluffy pumpkin pancakes",
            4,
            1,
            None,
            {
                "plain_flour": (190.0, 190.0),
                "baking_powder": (10.0, 16.0),
                "light_brown_sugar": (22.0, 30.0),
                "milk": (235.0, 250.0),
                "pumpkin_puree": (160.0, 200.0),
                "egg": (45.0, 62.0),
                "butter": (26.0, 31.0),
            },
        ),
    ),
    (
        "Choc pots\n\n150g dark chocolate (70 %)\n300 ml double cream\n2 tbsp sugar\n1 tsp vanilla\n\nHeat the cream with the sugar to just under the boil. Pour over the chopped chocolate. Whisk. Pour into 6 little pots. Chill 2 h.\n",
        Truth(
            "Choc pots",
            None,
            1,
            None,
            {
                "dark_chocolate_70": (150.0, 150.0),
                "double_cream": (290.0, 310.0),
                "white_sugar": (23.0, 28.0),
                "vanilla": (3.5, 5.5),
            },
        ),
    ),
)
