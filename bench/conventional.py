"""Twenty conventional desserts, made up, and three bases to make each on: written down before any of them was made."""

from __future__ import annotations

DESSERTS: dict[str, tuple[str, tuple[str, str, str]]] = {
    "vanilla cake": (
        """Birthday vanilla cake
Serves 12
250 g soft butter
250 g caster sugar
5 eggs
280 g plain flour
3 tsp baking powder
80 ml milk
2 tsp vanilla extract
Cream the butter and sugar until pale. Beat in the eggs one at a time. Fold in the flour and baking powder, then the milk and vanilla. Bake at 180 C for 40 to 45 minutes.""",
        ("almond", "gluten_free", "egg_free"),
    ),
    "coffee and walnut cake": (
        """Coffee and walnut cake
Makes 10 slices
175 g butter
175 g light brown sugar
3 eggs
175 g self-raising flour
1 tsp baking powder
2 tbsp strong coffee
75 g walnuts, chopped
Cream the butter and sugar, beat in the eggs, fold in the flour, baking powder, coffee and walnuts. Bake at 180 C for 30 minutes.""",
        ("oat", "gluten_free", "buckwheat"),
    ),
    "yoghurt oil cake": (
        """Sunday yoghurt cake
1 cake, 10 slices
220 g plain flour
180 g sugar
120 ml sunflower oil
3 eggs
180 g plain yoghurt
2 tsp baking powder
zest of 1 orange
Whisk the eggs and sugar, stir in the oil, yoghurt and zest, then the flour and baking powder. Bake at 175 C for 45 minutes.""",
        ("almond", "wholemeal", "egg_free"),
    ),
    "carrot cake": (
        """Carrot cake
Serves 12
250 g plain flour
230 g light brown sugar
200 ml vegetable oil
4 eggs
280 g grated carrot
100 g walnuts
2 tsp baking powder
1/2 tsp baking soda
2 tsp cinnamon
1/2 tsp salt
Whisk the oil, sugar and eggs. Stir in the flour, baking powder, soda, cinnamon and salt, then the carrot and walnuts. Bake at 175 C for 50 minutes.""",
        ("almond", "gluten_free", "oat"),
    ),
    "sponge": (
        """Whisked sponge
8 slices
4 eggs
120 g caster sugar
120 g plain flour
Whisk the eggs and sugar until thick. Fold in the flour. Bake at 180 C for 25 minutes.""",
        ("almond", "gluten_free", "wholemeal"),
    ),
    "blueberry muffins": (
        """Blueberry muffins
Makes 12 muffins
250 g plain flour
130 g sugar
2 tsp baking powder
1/2 tsp salt
90 g melted butter
2 eggs
200 ml milk
200 g blueberries
Mix the dry things. Whisk the butter, eggs and milk and stir them in. Fold in the blueberries. Bake at 190 C for 22 minutes.""",
        ("almond", "oat", "egg_free"),
    ),
    "banana loaf": (
        """Banana loaf
1 loaf, 10 slices
220 g plain flour
130 g brown sugar
90 g butter, melted
2 eggs
300 g mashed ripe banana
1 tsp baking soda
1/4 tsp salt
60 g pecans
Stir all together, fold in the pecans, bake at 170 C for 55 minutes.""",
        ("fruit", "almond", "nut_butter"),
    ),
    "gingerbread": (
        """Sticky gingerbread
16 squares
230 g plain flour
110 g dark brown sugar
120 g molasses
110 g golden syrup
110 g butter
1 egg
200 ml milk
1 1/2 tsp baking soda
2 tsp ground ginger
1 tsp cinnamon
Melt the butter with the sugar, molasses and syrup. Stir in the milk, egg, flour, soda and spices. Bake at 160 C for 45 minutes.""",
        ("gluten_free", "wholemeal", "egg_free"),
    ),
    "brownies": (
        """Chocolate brownies
16 squares
200 g dark chocolate
180 g butter
270 g caster sugar
3 eggs
100 g plain flour
30 g cocoa
1/4 tsp salt
Melt the chocolate and butter. Whisk in the sugar and eggs, then the flour, cocoa and salt. Bake at 175 C for 25 minutes.""",
        ("almond", "vegetable", "beans"),
    ),
    "cocoa brownies": (
        """Cocoa brownies
16 squares
150 g butter
260 g sugar
80 g cocoa
2 eggs
70 g plain flour
1 tsp vanilla
1/4 tsp salt
Melt the butter, stir in the sugar and cocoa, then the eggs, vanilla, salt and flour. Bake at 165 C for 25 minutes.""",
        ("nut_butter", "oat", "egg_free"),
    ),
    "chocolate chip cookies": (
        """Chocolate chip cookies
Makes 24 cookies
250 g plain flour
150 g brown sugar
80 g sugar
170 g butter
1 egg
1 tsp baking soda
1/2 tsp salt
1 tsp vanilla
180 g chocolate chips
Cream the butter and sugars, beat in the egg and vanilla, stir in the flour, soda and salt, then the chips. Bake at 180 C for 11 minutes.""",
        ("almond", "gluten_free", "nut_butter"),
    ),
    "oat cookies": (
        """Oat and raisin cookies
Makes 20 cookies
140 g plain flour
150 g rolled oats
150 g brown sugar
140 g butter
1 egg
1/2 tsp baking soda
1 tsp cinnamon
120 g raisins
Cream the butter and sugar, beat in the egg, stir in the rest. Bake at 175 C for 12 minutes.""",
        ("fruit", "gluten_free", "wholemeal"),
    ),
    "ginger snaps": (
        """Ginger snaps
Makes 36 snaps
230 g plain flour
110 g brown sugar
75 g golden syrup
100 g butter
1 tsp baking soda
2 tsp ground ginger
Melt the butter, sugar and syrup, stir in the rest, roll into balls. Bake at 170 C for 14 minutes.""",
        ("oat", "gluten_free", "almond"),
    ),
    "shortbread": (
        """Butter shortbread
16 fingers
240 g plain flour
80 g caster sugar
160 g butter
a pinch of salt
Rub together, press into a tin, prick. Bake at 160 C for 35 minutes.""",
        ("almond", "oat", "gluten_free"),
    ),
    "apple crumble": (
        """Apple crumble
Serves 6

For the filling
800 g apples
60 g sugar
1 tbsp lemon juice

For the crumble
150 g plain flour
90 g demerara sugar
90 g butter

Put the apples, sugar and lemon juice in a dish. Rub the flour, sugar and butter together and scatter over. Bake at 180 C for 40 minutes.""",
        ("almond", "oat", "gluten_free"),
    ),
    "pancakes": (
        """Thick breakfast pancakes
Makes 10 pancakes
200 g plain flour
30 g sugar
3 tsp baking powder
1/4 tsp salt
240 ml milk
2 eggs
40 g melted butter
Whisk the dry things, stir in the milk, eggs and butter. Fry spoonfuls in a pan for 2 minutes on each side.""",
        ("oat", "buckwheat", "fruit"),
    ),
    "cupcakes with buttercream": (
        """Vanilla cupcakes with buttercream
Makes 12 cupcakes

For the cakes
150 g butter
150 g caster sugar
3 eggs
150 g self-raising flour
2 tbsp milk

For the buttercream
150 g butter
300 g icing sugar
1 tbsp milk
1 tsp vanilla extract

Cream the butter and sugar, beat in the eggs, fold in the flour and milk. Bake at 180 C for 18 minutes. Beat the buttercream until white and pipe it on the cold cakes.""",
        ("yoghurt", "nut_butter", "almond"),
    ),
    "toffee sauce": (
        """Toffee sauce
Serves 8
200 g light brown sugar
240 ml double cream
90 g butter
1/2 tsp salt
Melt all together and simmer for 5 minutes.""",
        ("dates", "nut_butter", "dates"),
    ),
    "cheesecake": (
        """Baked cheesecake
Serves 12

For the base
200 g digestive biscuits
90 g butter

For the filling
600 g cream cheese
160 g caster sugar
3 eggs
150 ml double cream
1 tsp vanilla extract

Crush the biscuits, stir in the melted butter and press into the tin. Beat the filling smooth and pour it on. Bake at 150 C for 55 minutes.""",
        ("dates", "dates", "dates"),
    ),
    "vanilla ice cream": (
        """Vanilla ice cream
Makes 8 scoops
400 ml milk
300 ml double cream
4 egg yolks
140 g caster sugar
1 tsp vanilla extract
Heat the milk and cream, whisk the yolks and sugar, cook to 82 C, chill and churn.""",
        ("coconut", "fruit", "coconut"),
    ),
}
