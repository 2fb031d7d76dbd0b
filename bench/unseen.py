"""Desserts written down before the engine saw them: forty that were read while plans were mended, twenty that were read once and then mended for, and
eighty whose kinds were guessed once and then mended for."""

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
    (
        """Hermits
Makes 30 cookies
250 g plain flour
115 g butter
200 g dark brown sugar
2 eggs
1 tsp baking soda
1 tsp cinnamon
150 g raisins
Drop by spoonfuls and bake for 12 minutes at 180 °C.""",
        {"": "cookie"},
    ),
    (
        """Pfeffernüsse
Makes 40
300 g plain flour
120 g honey
100 g dark brown sugar
60 g butter
1 egg
2 tsp mixed spice
1 tsp baking soda
Roll into balls, bake at 175 °C for 12 minutes.""",
        {"": "crisp_cookie|cookie"},
    ),
    (
        """Nut roll slices
Makes 24
200 g walnuts
150 g honey
80 g rolled oats
40 g butter
Boil the honey and butter, stir in, press into a tin and chill.""",
        {"": "bar|no_bake|energy_ball"},
    ),
    (
        """Butter tarts filling
Makes 12
110 g butter
160 g light brown sugar
120 ml corn syrup
2 eggs
80 g raisins
Fill tart shells and bake at 200 °C for 16 minutes.""",
        {"": "nut_filling|custard"},
    ),
    (
        """Zabaglione
Serves 4
4 egg yolks
80 g caster sugar
80 ml red wine
Whisk over simmering water until thick and foamy.""",
        {"": "custard|mousse|curd|sauce"},
    ),
    (
        """Eton mess
Serves 6
300 ml double cream
40 g icing sugar
300 g strawberries
1 tsp vanilla
Whip the cream, fold in the berries.""",
        {"": "set_cream|whipped_cream|mousse|fruit"},
    ),
    (
        """Baked alaska ice layer
Serves 8
500 ml double cream
400 ml milk
6 egg yolks
180 g caster sugar
1 vanilla pod
Cook a custard, churn and freeze.""",
        {"": "frozen"},
    ),
    (
        """Applesauce spice bread
Makes 10 slices
220 g plain flour
250 g applesauce
120 g white sugar
80 ml sunflower oil
1 egg
1 tsp baking soda
1 tsp cinnamon
Bake at 175 °C for 50 minutes.""",
        {"": "quick_bread|oil_cake"},
    ),
    (
        """Cherry clafoutis
Serves 6
400 g cherries
3 eggs
80 g caster sugar
70 g plain flour
300 ml milk
Bake at 180 °C for 35 minutes.""",
        {"": "custard"},
    ),
    (
        """Peanut chikki
Makes 20 pieces
250 g peanuts
200 g jaggery
30 ml water
10 g ghee
Boil to the hard crack, roll out and cut.""",
        {"": "brittle"},
    ),
    (
        """Welsh cakes
Makes 16
225 g plain flour
100 g butter
80 g caster sugar
75 g raisins
1 egg
1 tsp baking powder
Roll out, cut, cook on a griddle 3 minutes a side.""",
        {"": "pancake|quick_bread|cookie|shortbread"},
    ),
    (
        """Bostock syrup
Makes 8
100 g white sugar
100 ml water
10 ml rum
Boil 2 minutes.""",
        {"": "soaking_syrup"},
    ),
    (
        """Oat crumb topping
Serves 8
120 g rolled oats
80 g plain flour
90 g butter
90 g light brown sugar
Rub in and scatter over fruit.""",
        {"": "crumble"},
    ),
    (
        """Earl grey shortbread
Makes 20 biscuits
200 g plain flour
130 g butter
65 g caster sugar
1 tbsp tea
Rub in, roll out and bake at 160 °C for 20 minutes.""",
        {"": "shortbread"},
    ),
    (
        """Cassata sponge
Serves 10
6 eggs
180 g caster sugar
180 g plain flour
Whisk eggs and sugar until tripled in volume, fold in the flour, bake at 180 °C.""",
        {"": "foam_cake"},
    ),
    (
        """Sans rival layers
Serves 10
6 egg whites
220 g caster sugar
150 g cashews
Whip to stiff peaks, spread, bake at 150 °C.""",
        {"": "meringue"},
    ),
    (
        """Date squares
Makes 16 squares
200 g rolled oats
150 g plain flour
150 g butter
120 g light brown sugar
1/2 tsp baking soda
Press half in a tin, spread with dates, crumble the rest over, bake at 180 °C.""",
        {"": "bar|crumble|cookie"},
    ),
    (
        """Chocolate pots
Serves 6
200 g dark chocolate
300 ml double cream
2 egg yolks
30 g caster sugar
Heat the cream, pour over the chocolate, chill in pots.""",
        {"": "set_cream|mousse|ganache|custard"},
    ),
    (
        """Vinarterta prune filling
Serves 12
500 g prunes
150 g white sugar
120 ml water
1 tsp vanilla
Simmer and purée.""",
        {"": "fruit|sauce"},
    ),
    (
        """Lamington icing
Makes 20
400 g icing sugar
40 g cocoa
120 ml milk
20 g butter
Warm together and dip.""",
        {"": "glaze|frosting|sauce"},
    ),
    (
        """Oat milk rice porridge
Serves 4
800 ml oat milk
100 g rice
50 g maple syrup
Simmer until thick.""",
        {"": "custard"},
    ),
    (
        """Almond butter fudge bites, no cooking
Makes 20
200 g almond butter
80 g coconut oil
60 g maple syrup
Stir, press in a tin, freeze.""",
        {"": "energy_ball|fudge|no_bake|frozen"},
    ),
    (
        """Spelt pancakes
Makes 10 pancakes
200 g spelt flour
300 ml milk
2 eggs
20 g caster sugar
2 tsp baking powder
Fry in a pan, flip.""",
        {"": "pancake"},
    ),
    (
        """Orange drizzle
Serves 10
100 g caster sugar
80 ml orange juice
Stir and spoon over the hot cake.""",
        {"": "soaking_syrup|glaze"},
    ),
    (
        """Mince pie filling
Makes 12
200 g apples
150 g raisins
100 g currants
120 g dark brown sugar
60 g suet
2 tbsp rum
1 tsp mixed spice
Simmer and cool.""",
        {"": "fruit"},
    ),
    (
        """Hot fudge
Serves 8
150 ml double cream
120 g dark chocolate
80 g golden syrup
40 g light brown sugar
20 g butter
Simmer 4 minutes.""",
        {"": "sauce|caramel|fudge"},
    ),
    (
        """Kringle dough
Serves 12
450 g bread flour
60 g caster sugar
110 g butter
180 ml milk
1 egg
7 g yeast
Knead and prove until doubled.""",
        {"": "yeast_dough"},
    ),
    (
        """Fruit leather
Makes 12
600 g strawberries
60 g honey
15 ml lemon juice
Purée, spread, dry at 70 °C for 6 hours.""",
        {"": "candied|fruit|sauce"},
    ),
    (
        """Beignets
Makes 20
400 g plain flour
50 g caster sugar
7 g yeast
200 ml milk
1 egg
40 g butter
Prove, cut and fry in hot oil at 180 °C.""",
        {"": "fried_dough|yeast_dough"},
    ),
    (
        """Buckwheat brownies
Makes 16 squares
150 g buckwheat flour
200 g dark chocolate
160 g butter
220 g light brown sugar
3 eggs
30 g cocoa
Bake at 175 °C for 22 minutes.""",
        {"": "brownie"},
    ),
    (
        """Chickpea cookie dough bites
Makes 18
250 g chickpeas
100 g peanut butter
60 g maple syrup
80 g dark chocolate chips
Blend and roll into balls.""",
        {"": "energy_ball|no_bake|nut_cookie|vegetable_brownie"},
    ),
    (
        """Lemon polenta cake
Serves 10
200 g butter
200 g caster sugar
200 g ground almonds
100 g polenta
3 eggs
2 tsp baking powder
Bake at 170 °C for 40 minutes.""",
        {"": "almond_cake|butter_cake"},
    ),
    (
        """Italian plum compote
Serves 6
600 g plums
90 g white sugar
60 ml water
Simmer 10 minutes.""",
        {"": "fruit"},
    ),
    (
        """Coconut milk ice cream
Serves 8
800 ml tinned coconut milk
140 g caster sugar
1 tsp vanilla
Churn and freeze.""",
        {"": "frozen"},
    ),
    (
        """Watermelon granita
Serves 6
800 g watermelon
80 g caster sugar
30 ml lime juice
Freeze, scraping every hour.""",
        {"": "sorbet"},
    ),
    (
        """Vegan cashew frosting
Serves 12
200 g cashew butter
80 g maple syrup
40 g coconut oil
20 ml lemon juice
Beat and chill.""",
        {"": "frosting|nut_cream"},
    ),
    (
        """Chocolate avocado mousse
Serves 4
300 g avocado
50 g cocoa
90 g maple syrup
60 ml almond milk
Blend and chill.""",
        {"": "mousse|set_cream"},
    ),
    (
        """Rhubarb curd
Makes 2 jars
300 g rhubarb
150 g caster sugar
3 eggs
80 g butter
20 ml lemon juice
Cook over simmering water until it coats a spoon.""",
        {"": "curd|fruit"},
    ),
    (
        """Banoffee toffee
Serves 10
397 g condensed milk
100 g butter
100 g dark brown sugar
Boil 5 minutes, pour and chill.""",
        {"": "caramel|fudge|sauce|brittle"},
    ),
    (
        """Oatcakes with a little honey
Makes 24
250 g rolled oats
60 g butter
30 g honey
80 ml water
1/2 tsp salt
Roll out thin, cut, bake at 170 °C until crisp.""",
        {"": "crisp_cookie|cookie|bar|shortbread"},
    ),
    (
        """Cinnamon sugar pretzels dough
Makes 10
400 g bread flour
30 g white sugar
7 g yeast
250 ml milk
40 g butter
Knead, prove, shape and bake at 220 °C.""",
        {"": "yeast_dough"},
    ),
    (
        """Black forest trifle cream
Serves 8
400 ml double cream
250 g mascarpone
70 g icing sugar
Whip to soft peaks, layer.""",
        {"": "layered_cream|whipped_cream|set_cream|frosting"},
    ),
    (
        """Financiers
Makes 16
120 g ground almonds
50 g plain flour
150 g icing sugar
130 g butter
4 egg whites
Bake at 190 °C for 12 minutes.""",
        {"": "almond_cake|butter_cake"},
    ),
    (
        """Polvorones
Makes 30
250 g plain flour
120 g lard
100 g icing sugar
80 g ground almonds
Toast the flour, press, cut, bake at 180 °C.""",
        {"": "shortbread|cookie|crisp_cookie"},
    ),
    (
        """Treacle tart filling
Serves 8
400 g golden syrup
120 g fresh breadcrumbs
1 egg
30 g butter
1 lemon zest
Bake in the case at 170 °C for 35 minutes.""",
        {"": "nut_filling|custard|steamed_pudding"},
    ),
    (
        """Bourbon pecan bars topping
Makes 20
250 g pecans
180 g light brown sugar
120 g honey
100 g butter
40 ml double cream
Boil 3 minutes, pour over the base, bake.""",
        {"": "nut_filling|caramel|brittle|bar"},
    ),
    (
        """Semolina pudding
Serves 4
600 ml milk
60 g semolina
50 g caster sugar
1 egg
Simmer until thick.""",
        {"": "custard"},
    ),
    (
        """Frozen yoghurt bark
Serves 8
500 g greek yoghurt
60 g honey
150 g raspberries
Spread and freeze.""",
        {"": "frozen"},
    ),
    (
        """Blackcurrant jelly
Serves 6
400 ml water
200 g blackberries
100 g caster sugar
12 g gelatine
Simmer, strain, set in the fridge.""",
        {"": "set_cream|candied|sorbet|fruit|sauce"},
    ),
    (
        """Nougat
Makes 40
300 g white sugar
200 g honey
2 egg whites
200 g almonds
Boil the syrup to 145 °C, pour on the whites.""",
        {"": "marshmallow|brittle|caramel"},
    ),
    (
        """Malt loaf
Makes 12 slices
250 g self-raising flour
150 g barley malt syrup
80 g dark brown sugar
200 g raisins
2 eggs
150 ml tea
Bake at 150 °C for an hour.""",
        {"": "quick_bread|steamed_pudding"},
    ),
    (
        """Cream puffs choux
Makes 20
150 g plain flour
100 g butter
250 ml water
4 eggs
10 g caster sugar
Boil, beat in the eggs, pipe and bake at 200 °C.""",
        {"": "fried_dough|quick_bread|yeast_dough|pancake|butter_cake|custard"},
    ),
    (
        """Ginger beer cake
Serves 12
250 g plain flour
180 g light brown sugar
150 g butter
2 eggs
200 ml stout
2 tsp ground ginger
2 tsp baking powder
Bake at 175 °C for 45 minutes.""",
        {"": "butter_cake|quick_bread"},
    ),
    (
        """Hazelnut praline paste
Makes 1 jar
200 g hazelnuts
150 g caster sugar
30 ml water
Caramelise to amber, cool, grind.""",
        {"": "brittle|caramel"},
    ),
    (
        """Marzipan potatoes
Makes 30
200 g ground almonds
150 g icing sugar
15 ml water
Knead, roll into balls.""",
        {"": "energy_ball|candied|no_bake|frosting|nut_filling|nut_cookie|macaroon|glaze"},
    ),
    (
        """Coconut ice
Makes 36
350 g desiccated coconut
300 g icing sugar
400 g condensed milk
Press in a tin and set overnight.""",
        {"": "fudge|no_bake|macaroon"},
    ),
    (
        """Carrot halwa
Serves 6
600 g carrots
grated
400 ml milk
100 g white sugar
40 g ghee
30 g cashews
Simmer until thick.""",
        {"": "custard|fruit|fudge"},
    ),
    (
        """Breakfast banana cookies
Makes 14 cookies
200 g rolled oats
250 g ripe bananas
40 g peanut butter
50 g chocolate chips
Drop and bake at 180 °C for 14 minutes.""",
        {"": "cookie"},
    ),
    (
        """Tahini halva
Makes 24
300 g tahini
250 g white sugar
80 ml water
Boil the syrup to 118 °C, stir in the tahini, set.""",
        {"": "fudge|candied|brittle|caramel|marshmallow"},
    ),
    (
        """Almond croissant cream
Makes 8
100 g butter
100 g caster sugar
2 eggs
120 g ground almonds
Beat together, fill and bake.""",
        {"": "nut_filling|almond_cake"},
    ),
    (
        """Cornbread, sweet
Makes 9 squares
150 g cornmeal
150 g plain flour
80 g white sugar
250 ml buttermilk
2 eggs
60 g butter
1 tbsp baking powder
Bake at 200 °C for 25 minutes.""",
        {"": "quick_bread"},
    ),
    (
        """Rosewater sharbat syrup
Serves 20
500 g white sugar
400 ml water
30 ml lemon juice
Boil 8 minutes.""",
        {"": "soaking_syrup"},
    ),
    (
        """Chocolate crackles
Makes 24
120 g puffed rice cereal
250 g coconut oil
200 g icing sugar
60 g cocoa
90 g desiccated coconut
Melt the oil, stir, set in cases in the fridge.""",
        {"": "no_bake|bar"},
    ),
    (
        """Nanaimo middle layer
Makes 16
110 g butter
250 g icing sugar
30 g custard powder
40 ml milk
Beat and spread, chill.""",
        {"": "frosting"},
    ),
    (
        """Key lime pie filling
Serves 8
400 g condensed milk
4 egg yolks
120 ml lime juice
Bake at 170 °C for 15 minutes, chill.""",
        {"": "curd|custard|set_cream"},
    ),
    (
        """Pavlova roulade
Serves 8
5 egg whites
250 g caster sugar
2 tsp cornflour
1 tsp cider vinegar
Whip to stiff peaks, bake at 160 °C for 30 minutes, roll.""",
        {"": "meringue|foam_cake"},
    ),
    (
        """Baked apples
Serves 4
4 apples
60 g light brown sugar
40 g butter
50 g raisins
Core, fill and bake at 180 °C for 40 minutes.""",
        {"": "fruit"},
    ),
    (
        """Jaffa cake sponge
Makes 12
2 eggs
50 g caster sugar
50 g self-raising flour
Whisk to the ribbon, bake at 180 °C for 8 minutes.""",
        {"": "foam_cake|butter_cake"},
    ),
    (
        """Peanut butter cups filling
Makes 16
150 g peanut butter
60 g icing sugar
20 g butter
Mix and chill.""",
        {"": "energy_ball|no_bake|frosting|nut_cookie"},
    ),
    (
        """Gingerbread house dough
Makes 1 house
500 g plain flour
180 g butter
180 g dark brown sugar
150 g golden syrup
1 egg
2 tsp baking soda
1 tbsp ground ginger
Roll out, cut, bake at 180 °C until crisp.""",
        {"": "crisp_cookie"},
    ),
    (
        """Vanilla soufflé
Serves 4
250 ml milk
40 g plain flour
40 g butter
60 g caster sugar
4 eggs
Fold in stiff whites, bake at 190 °C for 14 minutes.""",
        {"": "custard|mousse|foam_cake|pancake"},
    ),
    (
        """Rum balls
Makes 30
250 g sponge cake crumbs
100 g dark chocolate
60 g icing sugar
50 ml rum
30 g butter
Roll into balls and chill.""",
        {"": "no_bake|energy_ball|crumb_crust"},
    ),
    (
        """Sweet ricotta cannoli filling
Makes 12
500 g ricotta
150 g icing sugar
60 g dark chocolate chips
1 tsp vanilla
Drain, beat, chill.""",
        {"": "frosting|set_cream|layered_cream|cheesecake|mousse"},
    ),
    (
        """Plain waffles
Makes 8 waffles
250 g plain flour
40 g caster sugar
2 tsp baking powder
2 eggs
400 ml milk
100 g butter
Bake in a waffle iron.""",
        {"": "pancake"},
    ),
    (
        """Chocolate chip banana blondies
Makes 16
200 g plain flour
180 g light brown sugar
110 g butter
200 g ripe bananas
1 egg
100 g chocolate chips
Bake at 175 °C for 28 minutes.""",
        {"": "brownie|quick_bread|butter_cake"},
    ),
    (
        """Apricot jam
Makes 4 jars
1 kg apricots
600 g white sugar
30 ml lemon juice
Boil to setting point.""",
        {"": "fruit|candied"},
    ),
    (
        """Spiced nuts
Serves 10
400 g mixed nuts
1 egg white
80 g light brown sugar
1 tsp cinnamon
Bake at 150 °C for 30 minutes, stirring every 10.""",
        {"": "granola|brittle|nut_cookie|bar"},
    ),
    (
        """Lemon icebox cake cream
Serves 10
600 ml double cream
80 g icing sugar
200 g lemon curd
Whip, layer with biscuits, chill overnight.""",
        {"": "layered_cream|whipped_cream|set_cream|mousse"},
    ),
)
