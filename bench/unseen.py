"""Sixty desserts written down before the engine saw them: forty that were read while plans were mended, twenty that were read once and then mended for."""

from __future__ import annotations

# Each text with the families that a baker would allow each component, by its name; "*" where it does not matter.
UNSEEN: tuple[tuple[str, dict[str, str]], ...] = (
    (
        """Treacle ginger snaps
Makes 36 cookies
240 g plain flour
120 g butter
130 g dark brown sugar
70 g molasses
1 tsp baking soda
2 tsp ground ginger
1 tsp cinnamon
Cream the butter and sugar, add molasses and the dry things. Roll in balls, flatten. Bake at 175 °C for 12 minutes until crisp.""",
        {"": "crisp_cookie"},
    ),
    (
        """Snickerdoodles
Makes 24 cookies
280 g plain flour
225 g butter
250 g white sugar
2 eggs
1 tsp baking soda
2 tsp cream of tartar
30 g white sugar
1 tbsp cinnamon
Cream butter and sugar. Roll in balls and in cinnamon sugar. Bake at 190 °C for 10 minutes.""",
        {"": "cookie|crisp_cookie"},
    ),
    (
        """Molten chocolate puddings
Makes 6 puddings
150 g dark chocolate
130 g butter
3 eggs
90 g caster sugar
50 g plain flour
Melt chocolate and butter, whisk eggs and sugar, fold. Bake in ramekins at 200 °C for 11 minutes.""",
        {"": "brownie"},
    ),
    (
        """Flourless peanut cookies
Makes 20 cookies
250 g peanut butter
180 g light brown sugar
1 egg
1 tsp baking soda
60 g chocolate chips
Mix, scoop and bake at 175 °C for 10 minutes.""",
        {"": "nut_cookie"},
    ),
    (
        """Coconut macaroons dipped in chocolate
Makes 22
300 g desiccated coconut
200 g caster sugar
3 egg whites
1 tsp vanilla
100 g dark chocolate
Mix, heap on a sheet, bake at 165 °C for 20 minutes.""",
        {"": "macaroon"},
    ),
    (
        """Pecan pie
Serves 10
Crust
200 g plain flour
120 g butter
50 ml water
1 tbsp caster sugar
Filling
200 g pecans
180 g light brown sugar
200 g corn syrup
3 eggs
60 g butter
1 tsp vanilla
Blind-bake the crust. Pour in the filling, bake at 175 °C for 45 minutes.""",
        {"crust": "pie_crust|shortbread", "filling": "nut_filling"},
    ),
    (
        """Sticky date puddings with toffee sauce
Serves 8
Pudding
200 g deglet dates
250 ml water
1 tsp baking soda
80 g butter
150 g light brown sugar
2 eggs
180 g self-raising flour
Toffee sauce
150 g light brown sugar
200 ml double cream
50 g butter
Bake the puddings at 180 °C for 25 minutes. Simmer the sauce for 3 minutes.""",
        {"pudding": "steamed_pudding", "toffee sauce": "sauce|caramel"},
    ),
    (
        """Lime curd
Makes 2 jars
150 ml lime juice
180 g caster sugar
120 g butter
3 eggs
Whisk over simmering water until it coats the back of a spoon.""",
        {"": "curd"},
    ),
    (
        """Dark chocolate mousse
Serves 6
180 g dark chocolate
4 eggs
40 g caster sugar
100 ml double cream
Melt the chocolate; whip the whites with the sugar to soft peaks and fold in. Chill 4 hours.""",
        {"": "mousse"},
    ),
    (
        """Vanilla panna cotta
Serves 6
400 ml double cream
250 ml milk
80 g caster sugar
3 leaves gelatine
1 vanilla pod
Warm, dissolve gelatine, pour in glasses and chill overnight.""",
        {"": "set_cream"},
    ),
    (
        """Tiramisu
Serves 8
500 g mascarpone
4 eggs
100 g caster sugar
200 g sponge fingers
300 ml coffee
2 tbsp rum
2 tbsp cocoa
Whisk yolks and sugar, fold in mascarpone and beaten whites. Layer with dipped fingers. Chill overnight.""",
        {"": "layered_cream"},
    ),
    (
        """Steamed marmalade sponge
Serves 6
115 g butter
115 g caster sugar
2 eggs
150 g self-raising flour
2 tbsp milk
120 g marmalade
Steam in a pudding basin for 90 minutes.""",
        {"": "steamed_pudding"},
    ),
    (
        """Almond and semolina cake in orange syrup
Makes 16 pieces
Cake
250 g semolina
120 g caster sugar
120 g butter
200 g yoghurt
2 eggs
60 g ground almonds
2 tsp baking powder
Syrup
250 g white sugar
180 ml water
60 ml orange juice
Bake at 180 °C for 35 minutes. Boil the syrup 5 minutes and pour over.""",
        {"cake": "butter_cake", "syrup": "soaking_syrup"},
    ),
    (
        """Maple pecan granola
Serves 12
400 g rolled oats
120 g pecans
80 ml maple syrup
60 ml sunflower oil
50 g pumpkin seeds
1/2 tsp salt
80 g raisins
Bake at 150 °C for 30 minutes, stirring halfway.""",
        {"": "granola"},
    ),
    (
        """Cocoa date balls
Makes 20 balls
200 g medjool dates
120 g almonds
25 g cocoa
30 g almond butter
Blitz in a food processor and roll into balls. Chill.""",
        {"": "energy_ball"},
    ),
    (
        """Old-fashioned fudge
Makes 36 pieces
450 g white sugar
170 ml evaporated milk
80 g butter
1 tsp vanilla
Boil to the soft ball, 115 °C, cool and beat until thick.""",
        {"": "fudge"},
    ),
    (
        """Sesame brittle
Makes 20 pieces
200 g white sugar
80 g honey
150 g sesame seeds
20 g butter
Boil the sugar to amber, stir in seeds, spread and break.""",
        {"": "brittle"},
    ),
    (
        """Rose marshmallows
Makes 36
300 g white sugar
120 g corn syrup
150 ml water
20 g gelatine
Boil the syrup to 118 °C, pour on gelatine and whip until thick. Set overnight.""",
        {"": "marshmallow"},
    ),
    (
        """Caramel corn
Serves 10
100 g popcorn kernels
200 g light brown sugar
115 g butter
80 g corn syrup
1/2 tsp baking soda
Boil the caramel 5 minutes, toss with the popcorn, bake at 120 °C for 45 minutes.""",
        {"": "caramel_corn"},
    ),
    (
        """Buttermilk pancakes
Makes 12 pancakes
250 g plain flour
2 tbsp caster sugar
2 tsp baking powder
1/2 tsp baking soda
350 ml buttermilk
2 eggs
50 g butter, melted
Fry in a pan, flip when bubbles show.""",
        {"": "pancake"},
    ),
    (
        """Ring doughnuts
Makes 14 doughnuts
500 g bread flour
60 g caster sugar
7 g yeast
250 ml milk
1 egg
60 g butter
Knead, prove, cut, prove again, deep fry at 175 °C.
Glaze
150 g icing sugar
30 ml milk""",
        {"": "fried_dough", "glaze": "glaze"},
    ),
    (
        """Raspberry sorbet
Serves 6
500 g raspberries, puréed
150 g caster sugar
150 ml water
1 tbsp lemon juice
Churn in an ice cream machine.""",
        {"": "sorbet"},
    ),
    (
        """Unbaked lemon cheesecake
Serves 10
Base
200 g digestive biscuits
90 g butter, melted
Filling
500 g cream cheese
250 ml double cream
100 g icing sugar
60 ml lemon juice
Press the base in a tin and chill. Whip cream, fold in, spread and chill overnight.""",
        {"base": "crumb_crust", "filling": "set_cream|cheesecake"},
    ),
    (
        """Blackberry and apple crumble
Serves 6
Filling
500 g apples, peeled and sliced
250 g blackberries
70 g caster sugar
Crumble
150 g plain flour
90 g butter
80 g demerara sugar
40 g rolled oats
Bake at 180 °C for 40 minutes.""",
        {"filling": "fruit", "crumble": "crumble"},
    ),
    (
        """Sweet potato brownies
Makes 16 squares
400 g sweet potato, cooked and mashed
200 g almond butter
120 ml maple syrup
60 g cocoa
2 eggs
1 tsp baking soda
Mix all, bake at 180 °C for 25 minutes.""",
        {"": "vegetable_brownie"},
    ),
    (
        """Almond flour blueberry muffins
Makes 10 muffins
280 g almond flour
3 eggs
80 g honey
60 g butter, melted
1 tsp baking soda
1 tbsp lemon juice
120 g blueberries
Bake at 170 °C for 25 minutes.""",
        {"": "almond_cake|quick_bread"},
    ),
    (
        """Brandy snaps
Makes 24
100 g butter
100 g caster sugar
100 g golden syrup
100 g plain flour
1 tsp ground ginger
1 tsp lemon juice
Melt, stir in flour, drop teaspoons, bake at 175 °C for 8 minutes, roll round a spoon.""",
        {"": "crisp_cookie"},
    ),
    (
        """Raw cashew cheesecake
Serves 12
Base
150 g almonds
150 g medjool dates
Filling
300 g cashews, soaked
150 ml coconut milk
100 g maple syrup
90 g coconut oil
60 ml lemon juice
Blend and freeze until set; thaw for 30 minutes.""",
        {"base": "crumb_crust|energy_ball", "filling": "nut_cream"},
    ),
    (
        """Carrot and walnut cake
Makes 12 slices
Cake
250 g plain flour
2 tsp baking powder
1 tsp baking soda
2 tsp cinnamon
220 g light brown sugar
200 ml sunflower oil
4 eggs
280 g grated carrot
100 g walnuts
Icing
250 g cream cheese
60 g butter
150 g icing sugar
Bake at 180 °C for 40 minutes.""",
        {"cake": "oil_cake", "icing": "frosting"},
    ),
    (
        """Baked custard tart
Serves 8
Pastry
180 g plain flour
100 g butter
60 g icing sugar
1 egg yolk
Custard
500 ml double cream
8 egg yolks
80 g caster sugar
Bake at 130 °C for 40 minutes.""",
        {"pastry": "shortbread", "custard": "custard"},
    ),
    (
        """Banana oat loaf without sugar
Makes 12 slices
250 g oat flour
450 g ripe bananas, mashed
2 eggs
80 ml olive oil
2 tsp baking powder
1 tsp cinnamon
60 g walnuts
Bake at 175 °C for 50 minutes.""",
        {"": "quick_bread"},
    ),
    (
        """Vegan chocolate cake
Makes 12 slices
Cake
280 g plain flour
250 g white sugar
50 g cocoa
2 tsp baking soda
300 ml soy milk
100 ml sunflower oil
1 tbsp cider vinegar
Ganache
150 g dark chocolate
150 ml tinned coconut milk
Bake at 180 °C for 30 minutes. Heat the coconut milk, pour over the chocolate.""",
        {"cake": "oil_cake|butter_cake", "ganache": "ganache"},
    ),
    (
        """Lemon meringue pie
Serves 8
Pastry
200 g plain flour
110 g butter
40 ml water
Lemon filling
150 ml lemon juice
200 g caster sugar
40 g cornflour
250 ml water
4 egg yolks
50 g butter
Meringue
4 egg whites
200 g caster sugar
Bake at 170 °C for 20 minutes.""",
        {"pastry": "pie_crust|shortbread", "lemon filling": "curd|custard", "meringue": "meringue"},
    ),
    (
        """Coffee and walnut layer cake
Makes 12 slices
Sponge
225 g butter
225 g caster sugar
4 eggs
225 g self-raising flour
2 tbsp coffee
80 g walnuts
Buttercream
150 g butter
300 g icing sugar
1 tbsp coffee
Bake at 180 °C for 25 minutes.""",
        {"sponge": "butter_cake", "buttercream": "frosting"},
    ),
    (
        """Cardamom buns
Makes 14 buns
Dough
500 g bread flour
75 g caster sugar
80 g butter
7 g yeast
280 ml milk
1 tsp cardamom
Filling
100 g butter, soft
90 g light brown sugar
2 tsp cinnamon
Knead, prove until doubled, shape, bake at 220 °C for 9 minutes.""",
        {"dough": "yeast_dough", "filling": "*"},
    ),
    (
        """Mango kulfi
Serves 8
400 ml evaporated milk
200 g condensed milk
300 g mango purée
1/2 tsp cardamom
Freeze in moulds for 8 hours.""",
        {"": "frozen"},
    ),
    (
        """Peanut butter chocolate slice, no baking
Makes 24 squares
250 g digestive biscuits, crushed
200 g peanut butter
120 g icing sugar
100 g butter, melted
200 g milk chocolate
Press into a tin, pour over melted chocolate, chill.""",
        {"": "no_bake|crumb_crust"},
    ),
    (
        """Turkish rice pudding
Serves 6
1 l milk
100 g rice
120 g white sugar
20 g cornflour
1 tsp vanilla
Simmer until thick.""",
        {"": "custard"},
    ),
    (
        """Rhubarb galette with frangipane
Serves 8
Pastry
200 g plain flour
120 g butter
50 ml water
Frangipane
80 g butter
80 g caster sugar
1 egg
90 g ground almonds
Rhubarb
400 g rhubarb
80 g caster sugar
Bake at 190 °C for 45 minutes.""",
        {"pastry": "pie_crust|shortbread", "frangipane": "nut_filling|almond_cake", "rhubarb": "fruit"},
    ),
    (
        """Chocolate pots of cream cheese and yoghurt with berries
Serves 6
Cream
200 g cream cheese
250 g greek yoghurt
80 g icing sugar
Berries
300 g mixed berries
40 g caster sugar
Whip the cream cheese with yoghurt and sugar. Cook the berries 5 minutes. Chill.""",
        {"cream": "*", "berries": "fruit|sauce"},
    ),
    (
        """Honey and ricotta cheesecake
Serves 10
Base
180 g digestive biscuits
80 g butter
Filling
500 g ricotta
200 g cream cheese
120 g caster sugar
3 eggs
60 g honey
Bake at 160 °C for 50 minutes.""",
        {"base": "crumb_crust", "filling": "cheesecake"},
    ),
    (
        """Apple and cinnamon loaf
Makes 10 slices
250 g plain flour
160 g light brown sugar
120 ml sunflower oil
2 eggs
300 g apples, grated
2 tsp baking powder
2 tsp cinnamon
Bake at 175 °C for 55 minutes.""",
        {"": "quick_bread|oil_cake"},
    ),
    (
        """Double chocolate cookies
Makes 24 cookies
200 g plain flour
60 g cocoa
170 g butter
220 g light brown sugar
1 egg
1 tsp baking soda
200 g dark chocolate chips
Cream butter and sugar. Bake at 175 °C for 10 minutes.""",
        {"": "cookie|crisp_cookie"},
    ),
    (
        """Lemon bars
Makes 16 squares
Base
180 g plain flour
120 g butter
50 g icing sugar
Lemon layer
4 eggs
250 g caster sugar
120 ml lemon juice
30 g plain flour
Bake the base 15 minutes at 180 °C, then with the layer 20 minutes.""",
        {"base": "shortbread", "lemon layer": "curd"},
    ),
    (
        """Crème brûlée
Serves 6
500 ml double cream
120 ml milk
6 egg yolks
90 g caster sugar
1 vanilla pod
60 g demerara sugar
Bake in a water bath at 140 °C for 40 minutes; chill.""",
        {"": "custard"},
    ),
    (
        """Blueberry buttermilk scones
Makes 8 scones
300 g plain flour
60 g caster sugar
90 g butter, cold
180 ml buttermilk
1 egg
1 tbsp baking powder
120 g blueberries
Rub in the butter. Bake at 210 °C for 16 minutes.""",
        {"": "quick_bread"},
    ),
    (
        """Coffee ice cream
Serves 8
400 ml double cream
300 ml milk
5 egg yolks
140 g caster sugar
20 g instant coffee
Cook to a custard, churn.""",
        {"": "frozen"},
    ),
    (
        """Oat and seed flapjacks
Makes 16 squares
300 g rolled oats
150 g butter
120 g golden syrup
100 g light brown sugar
60 g pumpkin seeds
Melt, press in a tin, bake at 160 °C for 25 minutes.""",
        {"": "bar"},
    ),
    (
        """Strawberry jam sponge roll
Serves 8
Sponge
4 eggs
110 g caster sugar
110 g plain flour
Filling
150 g strawberry jam
200 ml double cream
Whisk eggs and sugar to the ribbon. Bake at 200 °C for 10 minutes.""",
        {"sponge": "foam_cake", "filling": "*"},
    ),
    (
        """Hazelnut meringue kisses
Makes 30
3 egg whites
180 g caster sugar
80 g hazelnut meal
Whip to stiff peaks, pipe, dry at 100 °C for 90 minutes.""",
        {"": "meringue"},
    ),
    (
        """Pumpkin pie
Serves 8
Crust
180 g plain flour
100 g butter
45 ml water
Filling
425 g pumpkin purée
300 ml evaporated milk
150 g light brown sugar
2 eggs
2 tsp mixed spice
Bake at 180 °C for 50 minutes.""",
        {"crust": "pie_crust", "filling": "custard"},
    ),
    (
        """Soft gingerbread with lemon glaze
Makes 12 squares
Gingerbread
230 g plain flour
120 g dark brown sugar
120 g molasses
110 g butter
180 ml milk
1 egg
1 tsp baking soda
2 tsp ground ginger
Glaze
120 g icing sugar
20 ml lemon juice
Bake at 170 °C for 40 minutes.""",
        {"gingerbread": "quick_bread|butter_cake", "glaze": "glaze"},
    ),
    (
        """Vegan banana muffins
Makes 12 muffins
250 g plain flour
300 g ripe bananas, mashed
110 g white sugar
80 ml sunflower oil
100 ml oat milk
2 tsp baking powder
1/2 tsp baking soda
Bake at 180 °C for 20 minutes.""",
        {"": "quick_bread"},
    ),
    (
        """Chocolate truffles
Makes 30
250 g dark chocolate
200 ml double cream
25 g butter
20 g honey
30 g cocoa
Heat cream, pour over chocolate, chill, roll into balls.""",
        {"": "no_bake|ganache|energy_ball"},
    ),
    (
        """Almond biscotti
Makes 30 biscuits
280 g plain flour
180 g caster sugar
3 eggs
120 g almonds
1 tsp baking powder
Bake twice at 170 °C until crisp.""",
        {"": "crisp_cookie"},
    ),
    (
        """Plum and almond tart
Serves 8
Pastry
200 g plain flour
110 g butter
60 g icing sugar
1 egg yolk
Almond cream
100 g butter
100 g caster sugar
2 eggs
110 g ground almonds
Plums
400 g plums
Bake at 180 °C for 40 minutes.""",
        {"pastry": "shortbread", "almond cream": "nut_filling|almond_cake", "plums": "fruit"},
    ),
    (
        """Rice pudding with orange
Serves 6
900 ml milk
110 g rice
90 g caster sugar
zest of 1 orange
Simmer 35 minutes.""",
        {"": "custard"},
    ),
    (
        """Chocolate fudge icing cupcakes
Makes 12 cupcakes
Cakes
150 g plain flour
150 g caster sugar
120 g butter
2 eggs
80 ml milk
25 g cocoa
1 1/2 tsp baking powder
Icing
150 g butter
250 g icing sugar
40 g cocoa
30 ml milk
Cream butter and sugar. Bake at 175 °C for 18 minutes.""",
        {"cakes": "butter_cake", "icing": "frosting"},
    ),
    (
        """Mango panna cotta
Serves 6
Cream
400 ml coconut milk
200 ml double cream
70 g caster sugar
8 g gelatine
Mango sauce
300 g mango purée
30 g caster sugar
Warm, set overnight in the fridge.""",
        {"cream": "set_cream", "mango sauce": "sauce"},
    ),
    (
        """Rye and walnut brownies
Makes 16 squares
180 g butter
200 g dark chocolate
250 g light brown sugar
3 eggs
100 g rye flour
30 g cocoa
80 g walnuts
Bake at 170 °C for 25 minutes.""",
        {"": "brownie"},
    ),
)
