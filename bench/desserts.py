"""Sixteen made-up desserts of as many families: the golden set's recipes."""

from __future__ import annotations

DESSERTS = {
    "butter cake": """Almond butter cake
Makes 12 slices
225 g butter, softened
225 g caster sugar
4 eggs
200 g plain flour
50 g ground almonds
2 tsp baking powder
100 ml milk
1 tsp vanilla extract""",
    "sponge": """Rolled sponge
Serves 8
4 eggs
120 g caster sugar
120 g plain flour
1 tsp vanilla extract
a pinch of salt""",
    "oil cake": """Carrot oil cake
Makes 12 slices
200 ml neutral oil
220 g light brown sugar
3 eggs
240 g plain flour
2 tsp baking powder
½ tsp baking soda
1 tsp cinnamon
250 g grated carrot
60 g chopped walnuts
¼ tsp salt""",
    "muffin": """Blueberry muffins
Makes 12 muffins
280 g plain flour
1 tbsp baking powder
150 g sugar
2 eggs
240 ml milk
110 g butter, melted
150 g blueberries
1 tsp vanilla extract
½ tsp salt""",
    "quick bread": """Banana bread
Makes 10 slices
250 g plain flour
1 tsp baking soda
180 g light brown sugar
3 ripe bananas, mashed
2 eggs
100 g butter, melted
60 ml buttermilk
¼ tsp salt""",
    "brownie": """Fudgy brownies
Makes 16 squares
170 g butter
250 g caster sugar
3 eggs
100 g plain flour
70 g cocoa powder
100 g dark chocolate 70%
1 tsp vanilla extract
½ tsp salt""",
    "drop cookie": """Oat raisin cookies
Makes 24 cookies
170 g butter, softened
150 g light brown sugar
60 g white sugar
1 egg
180 g plain flour
½ tsp baking soda
150 g rolled oats
120 g raisins
1 tsp cinnamon
½ tsp salt""",
    "shortbread": """Lemon shortbread
Makes 20 fingers
200 g butter
90 g caster sugar
300 g plain flour
zest of 1 lemon
a pinch of salt""",
    "oat bar": """Golden oat bars
Makes 16 bars
250 g rolled oats
150 g butter
100 g light brown sugar
120 g golden syrup
40 g plain flour
½ tsp salt""",
    "cheesecake": """Baked vanilla cheesecake
Makes 12 slices
700 g cream cheese
180 g caster sugar
3 eggs
200 ml soured cream
25 g cornflour
1 tsp vanilla extract""",
    "custard": """Set vanilla custard
Serves 6
500 ml milk
120 ml double cream
90 g caster sugar
4 egg yolks
20 g cornflour
1 tsp vanilla extract""",
    "no-bake": """No-bake cocoa oat bites
Makes 20 bites
150 g rolled oats
100 g peanut butter
120 g honey
80 g white sugar
40 g cocoa powder
60 g coconut oil
60 ml milk""",
    "frosting": """Vanilla buttercream frosting
Makes 12 portions
150 g butter
300 g icing sugar
30 ml milk
1 tsp vanilla extract""",
    "caramel": """Salted caramel
Makes 16 spoons
200 g white sugar
90 g butter
120 ml double cream
1 tsp salt""",
    "meringue": """Plain meringues
Makes 20 meringues
4 egg whites
220 g caster sugar
¼ tsp cream of tartar""",
    "frozen": """Vanilla ice cream
Serves 8
400 ml milk
300 ml double cream
130 g caster sugar
5 egg yolks
1 tsp vanilla extract""",
}
