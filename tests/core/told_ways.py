"""Ways of telling ovens, amounts and parts, each in a recipe of its own: written down first, then mended for."""

from __future__ import annotations

# A sentence of the method, and the oven: °C and whether it is a fan's (None: it tells none).
OVENS: tuple[tuple[str, float | None, bool | None], ...] = (
    ("Oven 180 (160 fan).", 180, False),
    ("Heat the oven to 180/160 fan.", 180, False),
    ("Preheat to 180°C (fan 160°C).", 180, False),
    ("Bake at 160C fan.", 160, True),
    ("Bake at 350.", 176.7, False),
    ("Preheat oven to 350°F/180°C/Gas 4", 177, False),
    ("180 degrees, middle shelf, 30 minutes", 180, False),
    ("Gas mark 4, 30 min.", 180, False),
    ("GM 5 for 20 mins", 190, False),
    ("Oven 200°C top and bottom heat", 200, False),
    ("Bake 325 for an hour", 163, False),
    ("Bake in a hot oven 15 minutes", 220, False),
    ("Fan oven 170°C", 170, True),
    ("170 fan / 190 conventional", 190, False),
    ("Set the oven at 175", 175, False),
    ("Bake at 375 degrees for 10 to 12 minutes", 190, False),
    ("Place in a cold oven, set to 300F, bake 1 hour", 149, False),
    ("Heat oil to 180C and fry", None, None),
    ("Cook the custard to 82C", None, None),
    ("Boil the syrup to 118C", None, None),
    ("Bake at 180C/350F for 30 min, then lower to 150C/300F", 180, False),
    ("Convection 325°F", 163, True),
    ("Bake @ 400", 204, False),
    ("Heat oven to 190c.", 190, False),
    ("Bake at 180C for 30 minutes.", 180, False),
    ("Oven 350F.", 177, False),
    ("Preheat the oven to 375 degrees.", 191, False),
    ("Bake in a preheated 325° oven for 1 hour.", 163, False),
    ("180 degrees, middle shelf, 40 mins.", 180, False),
    ("Gas mark 4, 40 mins.", 180, False),
    ("Set oven to moderate.", 180, False),
    ("A slow oven for two hours.", 150, False),
    ("Bake in a quick oven till brown.", None, None),
    ("Fan oven 160, 45 min.", 160, True),
    ("Heat oven to 160C fan/180C/gas 4.", 180, False),
    ("Oven: 200°C (fan 180°C, gas 6).", 200, False),
    ("Bake 12-15 min @ 375.", 191, False),
    ("Pop in the oven at 190 for 20.", 190, False),
    ("In a 400F oven, bake until golden.", 204, False),
    ("Temp 170 fan.", 170, True),
    ("30 min, 175 C, lower rack.", 175, False),
    ("Bake until done, 350.", 177, False),
    ("Cook the syrup to 112C, then pour over.", None, None),
    ("Heat the oil to 175C and fry in batches.", None, None),
    ("Warm the milk to 40C.", None, None),
    ("Chill to 4C.", None, None),
    ("Bring to 85C, stirring.", None, None),
    ("Temper the chocolate at 31C.", None, None),
    ("Bake to an internal temperature of 95C.", None, None),
    ("Roast the nuts at 160C for 10 min, then bake the cake at 180C.", 160, False),
    ("Start at 220C, after 10 min down to 160C.", 220, False),
    ("Oven at 220C; reduce to 180C once in.", 220, False),
    ("Vorheizen: 180 °C Ober-/Unterhitze.", 180, False),
    ("Bei 160 °C Umluft 40 Minuten backen.", 160, True),
    ("Au four à 180°C (th. 6) 35 min.", 180, False),
    ("Forno a 180° per 40 minuti.", 180, False),
    ("Hornear a 170 ºC durante 35 minutos.", 170, False),
    ("Ugn 225 grader, 10 min.", 225, False),
    ("Bak 30 min på 175 grader.", 175, False),
    ("Thermostat 6, 30 min.", None, None),
    ("180C/350F/Gas 4 for 25 minutes", 180, False),
    ("Bake 35min/180.", 180, False),
    ("180° 35'", 180, False),
    ("45 mins in a 160 oven.", 160, False),
    ("Into a hot oven (425F).", 218, False),
    ("Very hot oven, 450.", 232, False),
    ("Air fryer 160C 20 min.", None, None),
    ("Microwave 800W 2 min.", None, None),
    ("Slow cooker on low, 3 hours.", None, None),
    ("Steam for 90 minutes.", None, None),
    ("Griddle at 190C.", None, None),
    ("Bake three hundred and fifty degrees for an hour.", 177, False),
    ("At 180 (fan 160) for 1hr 10.", 180, False),
    ("Bake at 1800C for 20 minutes.", None, None),
    ("Bake for 180 minutes at 120.", 120, False),
    ("Dry in the oven at 90C for 2 hours.", 90, False),
    ("Bake at 180-190C.", 180, False),
    ("170C–180C, 25 mins.", 170, False),
    ("Bake at Gas 4 (350).", 180, False),
    ("Mark 5 for half an hour.", 190, False),
    ("Conventional 190, fan 170; 25 min.", 190, False),
    ("Bake @180.", 180, False),
    ("B: 180C/25m", 180, False),
    ("Oven on 180.", 180, False),
    ("180c fan 20 mins", 180, True),
    ("160fan 25min", 160, True),
    ("fan160 25min", 160, True),
    ("Fan 160C / 180C conv.", 180, False),
)
# A line, and the foods with their grams, in order ("?": none can be told).
LINES = r"""
175 g flour, self-raising|self_raising_flour 175
Sugar, soft brown - 50 g|light_brown_sugar 50
milk, evaporated 400 ml|evaporated_milk 426
flour, wholemeal 200 g|wholemeal_flour 200
Ginger, ground ....... 1 tbsp|ginger_ground 5.3
2 cups cream, whipped|double_cream ?
the yolks of eight eggs and the whites of four|egg_yolk 136 egg_white 132
lemon, 1 (juice)|lemon_juice 45
600 g mango flesh|mango 600
500 ml vanilla|vanilla ?
300ml pot double cream|double_cream 302
250g tub mascarpone|mascarpone 250
1 x 300ml carton double cream|double_cream 302
150ml tub soured cream|sour_cream 144
200g bar dark chocolate|dark_chocolate_70 200
1 bar (100g) dark chocolate, chopped|dark_chocolate_70 100
2 x 100g bars milk chocolate|milk_chocolate 200
397g can condensed milk|condensed_milk 397
1 can (14 oz) sweetened condensed milk|condensed_milk 397
1 14-oz can sweetened condensed milk|condensed_milk 397
one 14 ounce can sweetened condensed milk|condensed_milk 397
1 (13.5 oz) can full fat coconut milk|coconut_milk_tinned 383
400ml tin coconut milk|coconut_milk_tinned 383
2 8-oz packages cream cheese|cream_cheese 454
8 oz. block cream cheese|cream_cheese 227
1 package (8 ounces) cream cheese, softened|cream_cheese 227
1 pkg. (3.4 oz.) instant vanilla pudding mix|pudding_mix 96
1 tin (170 ml) evaporated milk|evaporated_milk 181
1 can evaporated milk, 354 ml|evaporated_milk 378
2 cans (400 ml) coconut milk|coconut_milk_tinned 764
2 cans (800 ml) coconut milk|coconut_milk_tinned 764
1 packet (200 ml) coconut cream|coconut_cream 203
200 g dark chocolate (85% cocoa)|dark_chocolate_85 200
100 g dark chocolate 66%, chopped|dark_chocolate_60 100
lemon zest from 2 lemons|lemon_zest 10
2 avocados (flesh approx. 300 g)|avocado 300
1/2 tsp almond ext.|almond_extract 2.1
zest 1 lemon + juice of half|lemon_zest 5 lemon_juice 22
zest of 1 lemon and juice of 1/2|lemon_zest 5 lemon_juice 22
grated zest and juice of 1 orange|orange_zest 6 orange_juice 80
juice and zest of 1 lime|lime_juice 30 lime_zest 3
finely grated zest of 2 unwaxed lemons|lemon_zest 10
1 lemon, zested and juiced|lemon_zest 5 lemon_juice 45
1 lemon, juice only|lemon_juice 45
1 orange, zest only|orange_zest 6
2 limes, juiced|lime_juice 60
juice of 1 lemon (about 3 tbsp)|lemon_juice 46
3 tbsp lemon juice (1 lemon)|lemon_juice 46
squeeze lemon juice|lemon_juice 5
20 g butter for the dish|butter 20
1 tbsp butter for the tin|butter 14
butter, for greasing|butter ?
15g butter, plus extra for greasing|butter 15
4 ripe mangoes (about 2 kg whole; 1.2 kg flesh)|mango 1200
3 bananas (about 300g peeled weight)|banana 300
300g peeled bananas (about 3)|banana 300
4 apples (600 g), peeled, cored and sliced|apple 600
2 large Bramley apples, about 450g|apple 450
500g apples, peeled weight|apple 500
1/2 cup sugar, or to taste|white_sugar 100
2-3 tbsp milk, as needed|milk 38
up to 2 tbsp milk|milk 31
1 cup + 2 tablespoons flour|plain_flour 141
1 cup plus 2 Tbsp all-purpose flour|plain_flour 141
2 cups minus 2 tablespoons flour|plain_flour 234
scant 1/2 cup honey|honey 160
heaped tsp cinnamon|cinnamon 3.5
1 level tsp baking powder|baking_powder 4.6
a knob of butter|butter 15
a good pinch of salt|salt 0.4
two pinches of salt|salt 0.7
a few drops of almond extract|almond_extract 0.2
1 stick butter|butter 113
1 1/2 sticks (12 tbsp) unsalted butter|butter 170
1/2 stick of butter|butter 57
6 oz (1 cup) chocolate chips|chocolate_chips 170
6 ounces/170 grams dark chocolate|dark_chocolate_70 170
1/2 pound butter|butter 227
1 lb. strawberries, hulled|strawberry 454
1lb 2oz plain flour|plain_flour 510
1 pint double cream|double_cream 570
1/2 pint milk|milk 290
2 fl oz water|water 57
5 cl rum|rum 47
3 Tbs. cocoa|cocoa 16
2T sugar|white_sugar 25
1t vanilla|vanilla 4.2
2 tablesp. honey|honey 43
2 dessertspoons honey|honey 28
1 large egg + 1 yolk|egg 50 egg_yolk 17
2 eggs plus 2 egg yolks|egg 100 egg_yolk 34
whites of 3 eggs|egg_white 99
3 eggs, separated|egg 150
1 egg, beaten, for glazing|egg 50
1 medium egg white|egg_white 30
yolks from 4 large eggs|egg_yolk 68
100g walnuts or pecans|walnuts 100
100g chopped nuts (walnuts, pecans or almonds)|walnuts 100
80 g sugar + 1 tbsp for the dish|white_sugar 93
100g caster sugar, plus 2 tbsp for sprinkling|caster_sugar 125
1/4 cup milk (dairy or non-dairy)|milk 61
120 ml (1/2 cup) buttermilk|buttermilk 122
240g/8½oz plain flour|plain_flour 240
1 tsp each cinnamon and ginger|cinnamon 2.6 ginger_ground 1.8
1/2 tsp each: cinnamon, nutmeg, cloves|cinnamon 1.3 nutmeg 1.1 cloves 1.05
salt|salt ?
Pinch salt and 1 tsp vanilla|salt 0.35 vanilla 4.2
1 tsp vanilla extract and a pinch of salt|vanilla 4.2 salt 0.35
200g (7oz) stoned dates|medjool_date 200
1 cup dates, soaked in hot water 10 min, drained|medjool_date 150
1 tbsp ground flaxseed + 3 tbsp water|ground_flax 6.5 water 45
1 flax egg (1 tbsp flax + 3 tbsp water)|flax_egg 52
125 ml / 1/2 cup coconut oil, melted|coconut_oil 115
1/2 cup coconut oil, melted and cooled|coconut_oil 109
1 vanilla bean, split|vanilla_pod 3
seeds from 1 vanilla pod|vanilla_pod 3
1 sheet ready-rolled puff pastry (320g)|puff_pastry 320
500g block puff pastry|puff_pastry 500
6 sheets filo pastry|filo_pastry 120
12 digestive biscuits|digestive_biscuit 180
250g (about 17) digestive biscuits|digestive_biscuit 250
2 cups crushed cornflakes|cornflakes 60
1 cup (about 100 g) rolled oats|rolled_oats 100
1 mug flour|plain_flour ?
1 egg-sized knob of butter|butter ?
2 sachets (14g) dried yeast|yeast 14
1 sachet of gelatine|gelatine 7
4 leaves gelatine|gelatine 8
1 tin (400g) black beans, drained and rinsed|black_beans 240
1 x 400g tin chickpeas, drained (240g drained weight)|chickpeas 240
1 jar (350g) cherry jam|jam 350
1 small tin crushed pineapple|pineapple 227
1 ripe avocado (150g flesh)|avocado 150
300g cooked beetroot, not in vinegar|beetroot 300
2 medium carrots, grated (about 150g)|carrot 150
1 cup finely grated carrot (about 2 medium)|carrot 110
1 cup unsweetened applesauce|applesauce 244
1 tbsp freshly grated ginger|ginger_fresh 6
1/2 nutmeg, grated|nutmeg 2.5
1 cinnamon stick|cinnamon 2.6
3 tablespoons of runny honey|honey 64
4 heaped tbsp cocoa powder|cocoa 28
1 shot espresso|coffee 30
2 tsp instant coffee dissolved in 1 tbsp hot water|instant_coffee 2 water 15
1 tbsp instant coffee in 2 tbsp boiling water|instant_coffee 3 water 30
200ml strong black coffee|coffee 200
optional: 50g chopped walnuts|walnuts 50
(optional) 1/2 cup raisins|raisin 75
50g chocolate chips - optional|chocolate_chips 50
1 C. sugar|white_sugar 200
1/2 C brown sugar, firmly packed|light_brown_sugar 110
1 c light brown sugar (packed)|light_brown_sugar 220
¾ cup/150g caster sugar|caster_sugar 150
1¾ cups plain flour|plain_flour 225
1-1/2 cups flour|plain_flour 188
1 - 1/2 teaspoons vanilla|vanilla 6.3
0.5 tsp salt|salt 3
.5 cup oil|neutral_oil 109
150 g. sugar|white_sugar 150
150gr sugar|white_sugar 150
1kg plums, stoned|plum 1000
1,5 dl milk|milk 154
1.2kg pumpkin, peeled and cubed|pumpkin_puree ?
Flour - 200 g|plain_flour 200
Sugar: 100g|white_sugar 100
Butter (softened) 100g|butter 100
Eggs x 3|egg 150
3x eggs|egg 150
Eggs (large): 2|egg 100
plain flour, 200g, sifted|plain_flour 200
500ml custard (500ml milk, 4 egg yolks, 60g sugar)|ready_custard 538.9
a good glug of olive oil|olive_oil 13.7
8 slices white bread, buttered (40 g butter)|white_bread 224 butter 40
a walnut of lard|lard 15
butter the size of an egg|butter 57
2 breakfastcups self-raising flour|self_raising_flour 300.1
1 teacupful sultanas|raisin 95.1
1 gill milk|milk 146.4
eggs - 3 if large, 4 if small|egg 150
1 lg. can crushed pineapple with juice (20 oz)|pineapple 567
1 cake of yeast|fresh_yeast 17
250 g kvarg|quark 250
3 T. Zorbo or other shortening|shortening 38
a drizzle of olive oil|olive_oil 5
slug of brandy|rum 14.1
a slosh of milk (30 ml)|milk 30.9
4 oz. cornflr|cornflour 113.4
4 oz cast. sugar|caster_sugar 113.4
1 pot (125g) plain yoghurt - keep the pot|yoghurt 125
100g soft brown sugar overnight|light_brown_sugar 100
3 tbsp black treacle + 1 of golden syrup|molasses 63.9 golden_syrup 21.6
about a pint of milk|milk 585.6
'bout a teacup of milk|milk 154.7
half a bottle of red wine|red_wine 374
1 bottle of white wine (75cl)|red_wine 748.1
2 x 330ml bottles stout|stout 661.1
1 bought madeira cake (about 400g)|sponge_cake 400
50g white choc + 50g milk choc, chunks -> fold|white_chocolate 50 milk_chocolate 50
1 cinnamon stick, 2 cloves|cinnamon 2.6 cloves 0.2
1 lime (zest + a squeeze), toasted coconut flakes, handful|lime_zest 3 coconut_desiccated 30
3 eggs, whites only|egg_white 99
Lemons – 3, juice of all, zest of one|lemon_juice 135 lemon_zest 5
a lemon's worth of juice|lemon_juice 45
24 halves|pear ?
4 sticks rhubarb, about 350g|rhubarb 350
1 ready rolled puff pastry sheet (320g)|puff_pastry 320
1 x 400g tin apricot halves in juice, drained|tinned_peaches 240
half a jar (170 g) lemon curd|lemon_curd 170
1 cup half & half|single_cream 255.7
2 oeufs entiers + 1 jaune|egg 100 egg_yolk 17
12 cardamom pods, seeds crushed|cardamom 1.8
2 flax eggs (2 tbsp ground flax + 6 tbsp water)|flax_egg 104
400 ml tin full-fat coconut milk, thick part only|coconut_milk_tinned 191
300 g berries, blueberries|mixed_berries 300
1 vanilla pod, seeds|vanilla_pod 3
100 g sugar, brown|light_brown_sugar 100
plain flr 75g + 5 tbsp water|plain_flour 75 water 75.1
sachet fast yeast (7g)|yeast 7
2 quinces approx 600 before peeling|quince 366
2 large ripe mangoes (about 900g), flesh only (you'll get roughly 600g)|mango 600
4oz dem. sugar|demerara_sugar 113.4
a capful of brandy|rum 10
la scorza di 2 limoni|lemon_zest 10
80 g di burro fuso|butter 80
a disc of shortcrust pastry (230 g)|shortcrust_pastry 230
marsala 1 tbsp + 1 for the coffee|sweet_wine 29.8
Dark choc 100g chopped - half in half on top|dark_chocolate_70 100
Ginger, a thumb, sliced|ginger_fresh 15
400 ml coconut milk|coconut_milk_tinned 382.1
1 large orange, peel grated and juiced|orange_zest 8 orange_juice 95
100g unsalted pistachio kernels|pistachios 100
1 tbsp granulated stevia (1:1)|stevia_erythritol 12.7
200 g salted butter, salt|butter 200 salt 0.3
200 g plain flour, sifted, salt, nutmeg|plain_flour 200 salt 0.3 nutmeg 0.1
"""

# What stands over the two foods of a part.
OVER_A_PART: tuple[str, ...] = (
    "For the topping",
    "TOPPING",
    "Topping:",
    "topping:",
    "topping",
    "Topping -",
    "- Topping -",
    "~ topping ~",
    "** Topping **",
    "## Topping",
    "_Topping_",
    "[Topping]",
    "(topping)",
    "Topping (optional)",
    "Topping (make while it bakes)",
    "2. Topping",
    "B) Topping",
    "Part two: topping",
    "Topping ingredients",
    "Ingredients for the topping",
    "For topping:",
    "To top",
    "To finish:",
    "And for the top...",
    "On top",
    "Crumble topping:",
    "For the crumble topping, you'll need",
    "Now the topping:",
    "TOPPING INGREDIENTS:",
    "Topping ↓",
    "➤ Topping",
    "• Topping",
    "— Topping —",
    "Topping: (enough for one cake)",
    "For the topping (makes 200 g):",
    "★ FOR THE TOPPING ★",
    "Vanilla Glaze",
    "Cream cheese frosting",
    "Salted caramel",
    "Streusel",
    "Frosting (double for a layer cake)",
    "Lemon syrup to pour over",
    "for the glaze, optional",
    "The glaze",
    "Quick glaze",
    "Glaze - whisk together",
    "Then for the syrup",
    "Filling no. 2",
)
