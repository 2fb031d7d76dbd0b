"""Recipes with what their methods say, written down before the reader of methods was: docs/method.md tells how each set came out at first.

For each step of the text, from 1: the lines that it uses, by their number in the list from 0 ("3", a part as "3:0.5"); its waits as "kind low-high"
[min]; its oven temperatures [°C, conventional; with a ~ what the thing itself reaches]. ``order`` holds pairs of steps of which the first must come before the second; ``apart`` pairs
of which neither needs the other.
"""

from __future__ import annotations

from dataclasses import dataclass


@dataclass(frozen=True)
class Told:
    """What one step of the text says."""

    uses: str = ""
    waits: str = ""
    degrees: str = ""


@dataclass(frozen=True)
class MethodCase:
    """A recipe and what its method says."""

    text: str
    steps: tuple[Told, ...]
    order: str = ""
    apart: str = ""


FIRST: tuple[MethodCase, ...] = (
    MethodCase(
        """Honey spice cake
Serves 10
200 g plain flour
2 tsp baking powder
1 tsp cinnamon
150 g soft butter
120 g light brown sugar
80 g honey
3 eggs
60 ml milk

1. Heat the oven to 180 °C and line a 20 cm tin.
2. Whisk the flour, baking powder and cinnamon in a bowl.
3. In another bowl, cream the butter and sugar for 5 minutes, then beat in the honey.
4. Add the eggs one at a time.
5. Fold in the flour mixture and the milk.
6. Scrape into the tin and bake for 40 to 45 minutes, until a skewer comes out clean.
7. Cool in the tin for 10 minutes, then turn out onto a rack.
""",
        (
            Told("", "", "180"),
            Told("0 1 2"),
            Told("3 4 5"),
            Told("6"),
            Told("7"),
            Told("", "bake 40-45", "180"),
            Told("", "cool 10-10"),
        ),
        "1<6 2<5 3<4 4<5 5<6 6<7",
        "1|2 2|3 1|3",
    ),
    MethodCase(
        """Oat and raisin cookies
Makes 24
1 cup butter
1 cup brown sugar
1/2 cup white sugar
2 eggs
1 tsp vanilla
1 1/2 cups flour
1 tsp baking soda
1/2 tsp salt
3 cups rolled oats
1 cup raisins

- Preheat oven to 350 F.
- Beat butter and both sugars until fluffy. Beat in eggs and vanilla.
- Mix the dry ingredients except the oats, then stir into the butter mixture.
- Stir in oats and raisins. Chill the dough for 30 minutes.
- Scoop onto trays. Bake 10-12 minutes, until the edges are golden.
- Leave on the tray for 5 minutes, then move to a rack.
""",
        (
            Told("", "", "177"),
            Told("0 1 2 3 4"),
            Told("5 6 7"),
            Told("8 9", "chill 30-30"),
            Told("", "bake 10-12", "177"),
            Told("", "cool 5-5"),
        ),
        "2<3 3<4 4<5 1<5 5<6",
        "1|2 1|3",
    ),
    MethodCase(
        """Lemon meringue tart
Serves 8
Pastry
175 g plain flour
100 g cold butter
1 tbsp icing sugar
1 egg yolk
Filling
3 tbsp cornflour
125 g caster sugar
200 ml water
100 ml lemon juice
85 g butter
3 egg yolks
Meringue
4 egg whites
200 g caster sugar

1. For the pastry, rub the butter into the flour and icing sugar, then bind with the yolk. Chill for 30 minutes.
2. Heat the oven to 200°C (fan 180). Line a 23 cm tart tin with the pastry and bake blind for 15 minutes.
3. Meanwhile make the filling: mix the cornflour and sugar with a little of the water. Bring the remaining water and the lemon juice to the boil, stir into the cornflour and simmer for 2 minutes. Off the heat, beat in the butter and yolks. Pour into the case.
4. Whisk the whites to stiff peaks, then add half the sugar and whisk again. Fold in the remaining sugar.
5. Spread the meringue over the filling. Reduce the oven to 150 °C and bake for 40 minutes.
6. Cool for 2 hours before cutting.
""",
        (
            Told("0 1 2 3", "chill 30-30"),
            Told("", "bake 15-15", "200"),
            Told("4 5 6 7 8 9", "simmer 2-2"),
            Told("10 11"),
            Told("", "bake 40-40", "150"),
            Told("", "cool 120-120"),
        ),
        "1<2 2<5 3<5 4<5 5<6",
        "1|4 3|4",
    ),
    MethodCase(
        """Sticky date pudding
Serves 8
180 g dates, chopped
250 ml boiling water
1 tsp bicarbonate of soda
60 g butter
140 g brown sugar
2 eggs
180 g self-raising flour
Sauce
200 g brown sugar
300 ml cream
60 g butter

Soak the dates in the boiling water with the soda for 15 minutes.
Preheat the oven to 180C. Grease and line a 20cm square tin.
Cream butter and sugar, add the eggs, then fold in the flour and the date mixture.
Pour into the tin and bake 35-40 minutes.
For the sauce, put everything in a saucepan, bring to the boil and simmer for 5 minutes.
Pour half of the sauce over the hot pudding and serve the rest beside it.
""",
        (
            Told("0 1 2", "soak 15-15"),
            Told("", "", "180"),
            Told("3 4 5 6"),
            Told("", "bake 35-40", "180"),
            Told("7 8 9", "simmer 5-5"),
            Told(""),
        ),
        "1<3 3<4 2<4 4<6 5<6",
        "1|2 5|4 5|3 1|5",
    ),
    MethodCase(
        """Vanilla panna cotta with raspberries
Serves 4
3 gelatine leaves
250 ml milk
250 ml double cream
50 g sugar
1 tsp vanilla extract
200 g raspberries
1 tbsp icing sugar

1. Soak the gelatine in cold water for 5 minutes.
2. Warm the milk, cream, sugar and vanilla until steaming; do not boil.
3. Squeeze out the gelatine and stir it into the hot cream until dissolved.
4. Pour into four moulds and chill for at least 4 hours or overnight.
5. Crush the raspberries with the icing sugar and spoon over.
""",
        (
            Told("0", "soak 5-5"),
            Told("1 2 3 4"),
            Told(""),
            Told("", "chill 240-720"),
            Told("5 6"),
        ),
        "1<3 2<3 3<4 4<5",
        "1|2",
    ),
    MethodCase(
        """Cinnamon buns
Makes 12
500 g strong flour
7 g dried yeast
50 g caster sugar
1 tsp salt
300 ml warm milk
75 g butter, melted
For the filling:
75 g butter, soft
100 g dark brown sugar
1 tbsp cinnamon
For the glaze:
100 g icing sugar
1 tbsp milk

Step 1: Mix the flour, yeast, sugar and salt. Add the milk and melted butter and knead for 10 minutes.
Step 2: Cover and leave to rise for 1 to 1½ hours, until doubled.
Step 3: Roll out to 30 x 40 cm. Spread with the soft butter and scatter over the brown sugar and cinnamon. Roll up and cut into 12.
Step 4: Put in a buttered tin and prove for 30 minutes. Heat the oven to 190 C / 170 fan.
Step 5: Bake for 25 minutes.
Step 6: Whisk the icing sugar with the milk and drizzle over the cooled buns.
""",
        (
            Told("0 1 2 3 4 5"),
            Told("", "rise 60-90"),
            Told("6 7 8"),
            Told("", "rise 30-30", "190"),
            Told("", "bake 25-25", "190"),
            Told("9 10"),
        ),
        "1<2 2<3 3<4 4<5 5<6",
    ),
    MethodCase(
        """Brownies
Makes 16 squares
200 g dark chocolate
175 g butter
250 g caster sugar
3 eggs
100 g plain flour
30 g cocoa powder
100 g walnuts

Preheat the oven to 170 °C fan. Line a 20 cm tin. Melt the chocolate with the butter over simmering water, cool 10 minutes. Whisk the eggs and sugar until pale, about 5 minutes. Fold the chocolate into the eggs. Sift over the flour and cocoa and fold in. Stir in most of the walnuts. Pour into the tin, scatter over the remaining walnuts and bake for 25-30 minutes until the top is set. Leave to cool completely in the tin.
""",
        (Told("0 1 2 3 4 5 6", "cool 10-10; bake 25-30", "190"),),
    ),
    MethodCase(
        """Baked lemon cheesecake
Cuts into 12
Base
200 g digestive biscuits
90 g butter
Topping
600 g cream cheese
150 g caster sugar
2 tbsp cornflour
3 eggs
150 ml soured cream
1 lemon, zest only

1. Heat oven to 160C. Crush the biscuits, mix with the melted butter, press into a 23cm springform tin and bake for 10 mins. Cool.
2. Turn the oven down to 140C. Beat the cream cheese with the sugar and cornflour. Add the eggs, soured cream and zest and mix until smooth.
3. Pour over the base and bake for 50 mins, until set with a slight wobble. Turn off the oven and leave inside for 1 hour with the door ajar.
4. Chill overnight.
""",
        (
            Told("0 1", "bake 10-10", "160"),
            Told("2 3 4 5 6 7", "", "140"),
            Told("", "bake 50-50; cool 60-60", "140"),
            Told("", "chill 480-720"),
        ),
        "1<3 2<3 3<4",
    ),
    MethodCase(
        """Soft caramels
Makes 40
300 g sugar
150 g golden syrup
250 ml double cream
80 g butter
1 tsp sea salt

Line a 18 cm tin. Warm the cream and butter in a small pan.
In a large pan, melt the sugar with the syrup over medium heat, then boil to 150 °C.
Pour in the warm cream, carefully, and boil again to 118 °C.
Stir in the salt, pour into the tin and leave to set for 3 hours.
""",
        (
            Told("2 3"),
            Told("0 1", "", "~150"),
            Told("", "", "~118"),
            Told("4", "set 180-180"),
        ),
        "1<3 2<3 3<4",
        "1|2",
    ),
    MethodCase(
        """Peach crumble
Serves 6
6 peaches, sliced
50 g sugar
1 tbsp lemon juice
Crumble
150 g flour
100 g cold butter
75 g demerara sugar
50 g oats

Toss the peaches with the sugar and lemon juice in a baking dish. Rub the butter into the flour, stir in the demerara and oats. Scatter over the peaches. Bake at 190 C for 35 min until bubbling. Rest 10 minutes, serve warm.
""",
        (Told("0 1 2 3 4 5 6", "bake 35-35; rest 10-10", "190"),),
    ),
    MethodCase(
        """Date and nut energy balls
Makes 18
200 g pitted dates
100 g almonds
50 g oats
2 tbsp cocoa
1 tbsp coconut oil
30 g desiccated coconut

Soak the dates in hot water for 10 minutes and drain.
Blitz the almonds and oats to a coarse meal.
Add the dates, cocoa and oil and process until it clumps.
Roll into 18 balls and coat in the coconut.
Chill for 1 hour.
""",
        (
            Told("0", "soak 10-10"),
            Told("1 2"),
            Told("3 4"),
            Told("5"),
            Told("", "chill 60-60"),
        ),
        "1<3 2<3 3<4 4<5",
        "1|2",
    ),
    MethodCase(
        """Chocolate mousse
For 6
150 g dark chocolate
4 eggs, separated
50 g caster sugar
200 ml whipping cream

Melt the chocolate and let it cool for 5 minutes.
Whisk the yolks with half the sugar until pale.
Whip the cream to soft peaks.
In a clean bowl whisk the whites, adding the rest of the sugar a spoonful at a time.
Stir the chocolate into the yolks, fold in the cream, then the whites.
Spoon into glasses and refrigerate for 2-3 hours.
""",
        (
            Told("0", "cool 5-5"),
            Told("1:0.34 2:0.5"),
            Told("3"),
            Told("1:0.66 2:0.5"),
            Told(""),
            Told("", "chill 120-180"),
        ),
        "1<5 2<5 3<5 4<5 5<6",
        "1|2 2|3 3|4 1|4",
    ),
)

SECOND: tuple[MethodCase, ...] = (
    MethodCase(
        """Marmalade loaf
10 slices
175g softened butter
175g golden caster sugar
3 large eggs
175g self raising flour
4 tbsp marmalade
1 orange, zest and juice
100g icing sugar

Preheat the oven to 180C/160C fan/gas 4. Butter a 900g loaf tin and line with baking parchment.
Beat together the butter and caster sugar until light. Gradually beat in the eggs, then fold in the flour, 3 tbsp of the marmalade, the zest and half the juice.
Spoon into the tin and bake for 50 mins - 1 hr until golden. Cool in the tin.
Melt the rest of the marmalade, brush over the cake. Mix the icing sugar with enough of the remaining juice to make a runny icing, and drizzle over.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3 4:0.75 5 6:0.5"),
            Told("", "bake 50-60", "180"),
            Told("4:0.25 7 6:0.5"),
        ),
        "1<3 2<3 3<4",
        "1|2",
    ),
    MethodCase(
        """Pumpkin Muffins
Yield: 12

Dry:
1 3/4 cups flour
1 tsp baking soda
2 tsp pumpkin spice
1/2 tsp salt
Wet:
1 can (15 oz) pumpkin puree
1 cup sugar
2 eggs
1/2 cup vegetable oil
1/4 cup milk

Streusel:
1/2 cup flour
1/4 cup brown sugar
4 tbsp cold butter

1) Preheat oven to 375°F and line a 12-cup muffin tin.
2) Whisk the dry ingredients. In a second bowl whisk the wet ingredients, then combine the two without overmixing.
3) Rub the streusel ingredients together with your fingers.
4) Fill the cups, top with the streusel, bake 18 to 20 minutes or until a toothpick comes out clean.
5) Let cool 5 minutes in the pan.
""",
        (
            Told("", "", "191"),
            Told("0 1 2 3 4 5 6 7 8"),
            Told("9 10 11"),
            Told("", "bake 18-20", "191"),
            Told("", "cool 5-5"),
        ),
        "2<4 3<4 1<4 4<5",
        "2|3 1|2 1|3",
    ),
    MethodCase(
        """Tiramisu
Serves 8
4 eggs, separated
100 g sugar
500 g mascarpone
300 ml strong coffee
3 tbsp marsala
200 g sponge fingers
2 tbsp cocoa powder

1. Whisk the egg yolks and the sugar until thick, about 5 minutes.
2. Beat in the mascarpone.
3. Whip the egg whites stiff and fold them in.
4. Mix the coffee and marsala. Dip the sponge fingers in it and lay half of them in a dish.
5. Cover with half the cream, then the remaining fingers and the rest of the cream.
6. Chill at least 6 hours. Dust with the cocoa before serving.
""",
        (
            Told("0:0.34 1"),
            Told("2"),
            Told("0:0.66"),
            Told("3 4 5:0.5"),
            Told("5:0.5"),
            Told("6", "chill 360-360"),
        ),
        "1<2 2<3 4<5 5<6",
        "1|4 3|4",
    ),
    MethodCase(
        """Shortbread fingers
Makes 16
250 g plain flour
75 g caster sugar
175 g cold butter
pinch of salt
1 tbsp caster sugar, to dust

Rub the butter into the flour, sugar and salt until like breadcrumbs, then press together. Pat into a 20 cm tin, prick all over with a fork and refrigerate for 20 minutes. Meanwhile heat the oven to 160 °C. Bake for 35 to 40 minutes until pale gold. Dust with the remaining sugar while warm, cut into fingers and leave to cool.
""",
        (Told("0 1 2 3 4", "chill 20-20; bake 35-40", "160"),),
    ),
    MethodCase(
        """Mango ice cream
1 litre
3 ripe mangoes
200 g condensed milk
400 ml whipping cream
1 lime, juiced

Purée the mango flesh with the lime juice.
Whip the cream until it holds soft peaks, then fold in the condensed milk and the mango.
Freeze for 1 hour, stir well, then freeze for another 5 hours.
Take out of the freezer 15 minutes before serving.
""",
        (
            Told("0 3"),
            Told("1 2"),
            Told("", "freeze 60-60; freeze 300-300"),
            Told("", "rest 15-15"),
        ),
        "1<2 2<3 3<4",
    ),
    MethodCase(
        """Apple tart
Serves 8
320 g puff pastry
4 apples
40 g butter
50 g sugar
1 tsp cinnamon
2 tbsp apricot jam

- Heat oven to 200 °C.
- Roll the pastry out to a 28 cm circle and chill it for 15 minutes.
- Peel, core and slice the apples. Melt the butter.
- Arrange the apples on the pastry, brush with the butter and sprinkle with the sugar and cinnamon.
- Bake for 30-35 minutes, until the edges are crisp.
- Warm the jam with a spoonful of water and brush over the hot tart.
""",
        (
            Told("", "", "200"),
            Told("0", "chill 15-15"),
            Told("1 2"),
            Told("3 4"),
            Told("", "bake 30-35", "200"),
            Told("5"),
        ),
        "2<4 3<4 4<5 1<5 5<6",
        "1|2 2|3 1|3",
    ),
    MethodCase(
        """Banana bread
1 loaf, 10 slices
3 ripe bananas
75 g melted butter
100 g brown sugar
1 egg
1 tsp vanilla
1 tsp bicarb
190 g flour
pinch salt
80 g chocolate chips

oven 175C. mash bananas, stir in butter. mix in sugar, egg and vanilla. sprinkle bicarb and salt over and mix. add flour, then two thirds of the choc chips. into a greased loaf tin, rest of the chips on top. 1 hr. cool in tin 15 min
""",
        (Told("0 1 2 3 4 5 6 7 8", "bake 60-60; cool 15-15", "175"),),
    ),
    MethodCase(
        """Crème caramel
Serves 6
175 g sugar
600 ml milk
4 eggs
50 g caster sugar
1 tsp vanilla

1. Put the 175 g sugar in a pan with 3 tbsp water and cook to an amber caramel. Pour into 6 moulds.
2. Heat the milk to just under boiling.
3. Whisk the eggs, caster sugar and vanilla, then pour on the hot milk, whisking. Strain into the moulds.
4. Stand in a roasting tin, pour in hot water halfway up and bake at 150 °C (130 fan) for 25-30 minutes.
5. Cool, then chill for at least 4 hours. Turn out.
""",
        (
            Told("0 5"),
            Told("1"),
            Told("2 3 4"),
            Told("", "bake 25-30", "150"),
            Told("", "chill 240-240"),
        ),
        "1<3 2<3 3<4 4<5",
        "1|2",
    ),
    MethodCase(
        """Carrot cupcakes with orange frosting
Makes 12
150 g light muscovado sugar
150 ml sunflower oil
3 eggs
150 g grated carrot
200 g self-raising flour
1 tsp bicarbonate of soda
2 tsp mixed spice
Frosting
200 g soft cheese
50 g butter, softened
75 g icing sugar
1 orange, zest

Heat the oven to 180 °C and put 12 cases in a muffin tin.
Whisk the sugar, oil and eggs for 2 minutes. Stir in the carrots.
Sift in the flour, bicarb and spice and fold together.
Divide between the cases. Bake for 20-22 minutes. Cool on a rack.
To make the frosting, beat the butter until soft, then beat in the soft cheese, icing sugar and zest. Chill for 30 minutes.
Swirl the frosting over the cold cakes.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3"),
            Told("4 5 6"),
            Told("", "bake 20-22", "180"),
            Told("7 8 9 10", "chill 30-30"),
            Told(""),
        ),
        "2<3 3<4 1<4 4<6 5<6",
        "1|2 5|4 5|2 1|5",
    ),
    MethodCase(
        """Granola
12 portions
300 g rolled oats
100 g mixed nuts, chopped
50 g pumpkin seeds
1 tsp cinnamon
4 tbsp coconut oil
120 ml maple syrup
1 tsp vanilla
100 g dried cranberries

Preheat oven to 300°F.
Mix the oats, nuts, seeds and cinnamon.
Warm the oil and syrup until runny, stir in the vanilla, pour over the dry mix and toss.
Spread on a tray and bake 40 minutes, stirring every 10 minutes.
Cool completely, then stir through the cranberries.
""",
        (
            Told("", "", "149"),
            Told("0 1 2 3"),
            Told("4 5 6"),
            Told("", "bake 40-40", "149"),
            Told("7"),
        ),
        "2<3 3<4 1<4 4<5",
        "1|2 1|3",
    ),
    MethodCase(
        """Steamed ginger pudding
Serves 6
4 tbsp golden syrup
125 g butter
125 g brown sugar
2 eggs
175 g self-raising flour
2 tsp ground ginger
3 tbsp milk

Grease a 1-litre basin and pour in the syrup.
Cream the butter with the sugar, beat in the eggs, fold in the flour and ginger and loosen with the milk.
Spoon over the syrup, cover with pleated foil and steam for 1½ hours.
Stand for 5 minutes and turn out.
""",
        (
            Told("0"),
            Told("1 2 3 4 5 6"),
            Told("", "simmer 90-90"),
            Told("", "rest 5-5"),
        ),
        "1<3 2<3 3<4",
        "1|2",
    ),
    MethodCase(
        """Strawberry jam tartlets
18 tartlets
For the dough
200 g flour
100 g butter
50 g sugar
1 egg
For the jam
400 g strawberries
150 g sugar
1 tbsp lemon juice

1. Cook the strawberries, sugar and lemon juice at a simmer for 20 minutes until thick. Cool.
2. Work the flour, butter and sugar to crumbs, add the egg and bring together. Wrap and chill 1 hour.
3. Heat the oven to gas 5. Roll out the dough, cut 18 rounds and line a bun tin.
4. Put a teaspoon of jam in each and bake for 12 to 15 minutes.
""",
        (
            Told("4 5 6", "simmer 20-20"),
            Told("0 1 2 3", "chill 60-60"),
            Told("", "", "190"),
            Told("", "bake 12-15", "190"),
        ),
        "1<4 2<3 3<4",
        "1|2",
    ),
)

THIRD: tuple[MethodCase, ...] = (
    MethodCase(
        """Victoria sponge
Serves 10
225g soft butter
225g caster sugar
4 eggs
225g self-raising flour
2 tsp baking powder
Filling:
150ml double cream
4 tbsp raspberry jam
icing sugar, to dust

Heat the oven to 180C/160C fan/gas 4. Grease two 20cm sandwich tins.
Put the butter, caster sugar, eggs, flour and baking powder in a bowl and beat for 2 minutes until smooth.
Divide between the tins, level and bake for 25 minutes. Cool in the tins for 5 mins, then turn out onto a wire rack.
Whip the cream. Sandwich the cakes with the jam and cream and dust with icing sugar.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3 4"),
            Told("", "bake 25-25; cool 5-5", "180"),
            Told("5 6 7"),
        ),
        "1<3 2<3 3<4",
        "1|2",
    ),
    MethodCase(
        """Chocolate chip cookies
Makes 2 dozen
2 1/4 cups flour
1 tsp baking soda
1 tsp salt
1 cup butter, softened
3/4 cup granulated sugar
3/4 cup packed brown sugar
1 tsp vanilla extract
2 large eggs
2 cups chocolate chips

PREHEAT oven to 375° F.
COMBINE flour, baking soda and salt in small bowl. Beat butter, granulated sugar, brown sugar and vanilla extract in large mixer bowl until creamy. Add eggs, one at a time, beating well after each addition. Gradually beat in flour mixture. Stir in chips.
DROP by rounded tablespoon onto ungreased baking sheets.
BAKE for 9 to 11 minutes or until golden brown. Cool on baking sheets for 2 minutes; remove to wire racks to cool completely.
""",
        (
            Told("", "", "191"),
            Told("0 1 2 3 4 5 6 7 8"),
            Told(""),
            Told("", "bake 9-11; cool 2-2", "191"),
        ),
        "2<3 3<4 1<4",
        "1|2",
    ),
    MethodCase(
        """Gooseberry fool
Serves 4
400g gooseberries
100g caster sugar
1 tbsp elderflower cordial
200ml double cream
150g custard

1. Simmer the gooseberries with the sugar and cordial for 10 minutes until soft. Crush and leave to cool.
2. Whip the cream to soft peaks and fold in the custard.
3. Ripple the fruit through the cream, spoon into glasses and chill for 1 hour.
""",
        (
            Told("0 1 2", "simmer 10-10"),
            Told("3 4"),
            Told("", "chill 60-60"),
        ),
        "1<3 2<3",
        "1|2",
    ),
    MethodCase(
        """Coffee and walnut traybake
Cuts into 16
For the sponge
200 g butter
200 g light brown sugar
3 eggs
200 g self-raising flour
1 tbsp instant coffee
2 tbsp boiling water
75 g walnuts, chopped
For the icing
75 g butter, softened
200 g icing sugar
2 tsp instant coffee
1 tbsp boiling water
16 walnut halves

Preheat the oven to 170°C fan and line a 20 x 30 cm tin.
Dissolve the coffee in the boiling water and leave to cool.
Cream the butter and sugar, then gradually beat in the eggs. Fold in the flour, coffee and walnuts.
Spread in the tin and bake for 25-30 minutes until springy. Leave to cool in the tin.
To make the icing, dissolve the coffee in the water. Beat the butter with the icing sugar, then beat in the coffee. Spread over the cold cake, mark into squares and top each with a walnut half.
""",
        (
            Told("", "", "190"),
            Told("4 5"),
            Told("0 1 2 3 6"),
            Told("", "bake 25-30", "190"),
            Told("7 8 9 10 11"),
        ),
        "1<4 2<3 3<4 4<5",
        "1|2 1|3",
    ),
    MethodCase(
        """Baked apples
Serves 4
4 cooking apples
60 g raisins
40 g brown sugar
1/2 tsp cinnamon
20 g butter
100 ml apple juice

Core the apples and score the skin around the middle. Mix the raisins, sugar and cinnamon and stuff into the apples. Stand in a dish, dot with the butter and pour the juice around. Bake at 180 °C for 40 minutes, basting after 20 minutes. Rest for 5 minutes before serving.
""",
        (Told("0 1 2 3 4 5", "bake 40-40; rest 5-5", "180"),),
    ),
    MethodCase(
        """Focaccia-style sweet bread with grapes
Serves 8
400 g bread flour
1 tsp salt
7 g yeast
60 g sugar
280 ml warm water
60 ml olive oil
300 g grapes
1 tsp anise seeds

Mix flour, salt, yeast and two thirds of the sugar. Add the water and half of the oil and knead for 10 minutes.
Cover and prove for 1½ hours.
Press into an oiled tin, cover and prove again for 45 minutes.
Heat the oven to gas 6. Push the grapes into the dough, drizzle with the rest of the oil and scatter over the seeds and remaining sugar.
Bake for 25 to 30 minutes. Serve warm.
""",
        (
            Told("0 1 2 3:0.67 4 5:0.5"),
            Told("", "rise 90-90"),
            Told("", "rise 45-45"),
            Told("6 5:0.5 7 3:0.33", "", "200"),
            Told("", "bake 25-30", "200"),
        ),
        "",
    ),
    MethodCase(
        """Lemon curd
Makes 2 jars
4 lemons, zest and juice
200 g sugar
100 g butter
3 eggs
1 egg yolk

Put the lemon zest and juice, the sugar and the butter into a heatproof bowl over simmering water and stir until the butter has melted.
Whisk the eggs and yolk lightly, then stir them into the lemon mixture. Cook for 10-13 minutes, stirring often, until it coats the back of a spoon.
Cool, then pour into sterilised jars and refrigerate.
""",
        (
            Told("0 1 2 3"),
            Told("4 5", "simmer 10-13"),
            Told(""),
        ),
        "1<2 2<3",
    ),
    MethodCase(
        """Rocky road
Cuts into 24
200 g digestive biscuits
135 g butter
200 g dark chocolate
3 tbsp golden syrup
100 g mini marshmallows
icing sugar for dusting

- Line an 18 cm square tin.
- Bash the biscuits in a bag.
- Melt the butter, chocolate and syrup in a saucepan over a gentle heat. Scoop out about 125 ml and keep it aside.
- Stir the biscuits and marshmallows into the pan.
- Tip into the tin, pour over the reserved chocolate, and chill for about 2 hours.
- Dust with icing sugar and cut into fingers.
""",
        (
            Told(""),
            Told("0"),
            Told("1 2:0.5 3"),
            Told("4"),
            Told("2:0.5", "chill 120-120"),
            Told("5"),
        ),
        "2<4 3<4 4<5 5<6 1<5",
        "1|2 2|3 1|3",
    ),
    MethodCase(
        """Buckwheat crepes with honey
Makes 8
100g buckwheat flour
50g plain flour
pinch of salt
2 eggs
350ml milk
20g butter, plus extra for frying
4 tbsp honey, to serve

Sift the flours and salt into a bowl. Make a well, add the eggs and gradually whisk in the milk. Rest in the fridge for 1 hour.
Melt the butter and whisk into the batter.
Fry ladlefuls of batter in a hot pan for 1-2 minutes on each side.
Drizzle with the honey.
""",
        (
            Told("0 1 2 3 4", "chill 60-60"),
            Told("5"),
            Told(""),
            Told("6"),
        ),
        "1<2 2<3 3<4",
    ),
    MethodCase(
        """Pecan pie
Serves 10
1 sheet shortcrust pastry (320 g)
200 g pecans
100 g butter
150 g dark brown sugar
150 g maple syrup
3 eggs
1 tsp vanilla
1/4 tsp salt

1. Line a 23 cm tart tin with the pastry, prick and chill 20 min. Heat oven to 190°C. Blind bake 15 min, remove the beans and bake 5 min more. Lower the oven to 170°C.
2. Roast the pecans for 6 minutes while the case bakes, then chop half of them.
3. Melt butter with sugar and syrup; cool slightly. Whisk in eggs, vanilla and salt. Stir in the chopped pecans and pour into the case.
4. Arrange the whole pecans on top. Bake 35-40 min; cover with foil after 25 min. Cool completely.
""",
        (
            Told("0", "chill 20-20; bake 15-15; bake 5-5", "190 170"),
            Told("1", "bake 6-6", "170"),
            Told("2 3 4 5 6 7"),
            Told("", "bake 35-40", "170"),
        ),
        "1<4 2<3 3<4",
    ),
)

# From whole recipes that were read once: what came out wrong, and was mended.
FOURTH: tuple[MethodCase, ...] = (
    MethodCase(
        """Sticky toffee puddings

Serves 8
Preparation time: 30 minutes. Cooking time: 25 minutes

225g whole Medjool dates
175ml boiling water
1 tsp vanilla extract
175g self-raising flour
1 tsp bicarbonate of soda
2 eggs
85g butter, softened
140g demerara sugar
2 tbsp black treacle
100ml milk

For the toffee sauce
175g light muscovado sugar
50g butter, cut into pieces
225ml double cream
1 tbsp black treacle

1 Stone and chop the dates, put them in a bowl and pour the boiling water over. Leave for 30 minutes, then mash and stir in the vanilla.
2 Butter and flour 8 mini pudding tins. Heat oven to 180C/fan 160C/gas 4.
3 Beat the butter and sugar together, then the eggs a little at a time. Beat in the treacle. Fold in a third of the flour and the bicarb, then half the milk, and so on until all is used. Stir in the dates.
4 Divide between the tins and bake for 20–25 minutes until risen and firm.
5 For the sauce, put the sugar and butter in a pan with half the cream, bring to the boil stirring, and add the treacle. Bubble for 2–3 minutes, then beat in the rest of the cream.
6 Unmould the puddings, pour over the sauce.
""",
        (
            Told("0 1 2", "rest 30-30"),
            Told("", "", "180"),
            Told("3 4 5 6 7 8 9"),
            Told("", "bake 20-25", "180"),
            Told("10 11 12 13", "simmer 2-3"),
            Told(),
        ),
        "1<3 2<4 3<4 4<6 5<6",
        "1|2 3|5 4|5",
    ),
    MethodCase(
        """Tarte aux pommes (French apple tart)
8 portions

Pâte sucrée:
200 g flour (T55)
100 g cold butter, cubed
70 g icing sugar
1 egg yolk
1–2 tbsp cold water
a pinch of salt

Compote:
3 apples (400 g), peeled, cored
30 g sugar
20 g butter
½ vanilla bean

Topping:
3 apples (400 g)
15 g melted butter
2 tbsp apricot jam, to glaze

1. Rub butter into flour, sugar and salt. Add yolk and water, bring together. Wrap and rest 1 hour in the fridge.
2. Cook compote apples with sugar, butter and vanilla over low heat 20 min. Mash and cool.
3. Roll the dough out and line a 24 cm tart ring. Chill 30 minutes.
4. Spread with compote. Slice topping apples thinly and fan over. Brush with melted butter.
5. Bake at 190°C for 40 minutes. Warm the jam and brush over.
""",
        (
            Told("0 1 2 3 4 5", "chill 60-60"),
            Told("6 7 8 9", "simmer 20-20"),
            Told("", "chill 30-30"),
            Told("10 11"),
            Told("12", "bake 40-40", "190"),
        ),
        "1<3 3<4 2<4 4<5",
        "1|2 2|3",
    ),
    MethodCase(
        """Baked vanilla cheesecake

For a 23 cm springform. Cuts into 12.

Base: 200 g digestive biscuits, 90 g butter (melted)
Filling: 900 g full-fat cream cheese, 250 g caster sugar, 3 tbsp plain flour, 2 tsp vanilla paste, grated zest of 1 lemon, 3 large eggs + 1 yolk, 200 ml sour cream
Topping: 100 ml sour cream, 1 tbsp caster sugar

Oven to 180 °C / fan 160 °C. Crush the biscuits, mix with the butter, press into the tin and bake 10 minutes.
Raise oven to 240 °C (fan 220). Beat the cream cheese, add sugar, flour, vanilla, zest, then the eggs and yolk, and the sour cream.
Pour over the base and bake 10 minutes, then turn down to 110 °C (fan 90) and bake 25 minutes more. Switch off and leave in the oven 2 hours.
Mix the topping and spread over. Chill overnight.
""",
        (
            Told("0 1", "bake 10-10", "180"),
            Told("2 3 4 5 6 7 8 9", "", "240"),
            Told("", "bake 10-10; bake 25-25; cool 120-120", "240 110"),
            Told("10 11", "chill 480-720"),
        ),
        "1<3 2<3 3<4",
        "",
    ),
    MethodCase(
        """Lemon Drizzle Traybake
Makes 16 squares

225g (8oz) soft butter
225g (8oz) caster sugar
275g (10oz) self-raising flour
2 level tsp baking powder
4 large eggs
4 tbsp milk
finely grated zest of 2 lemons

For the glaze:
175g (6oz) granulated sugar
juice of 2 lemons

Preheat the oven to 180°C/Fan 160°C/Gas 4. Grease a 30 x 23cm (12 x 9in) traybake tin and line with baking paper.
Measure all the ingredients into a large bowl and beat well for about 2 minutes until well blended. Turn into the tin and level the top.
Bake for about 35-40 minutes until the cake has shrunk from the sides of the tin and springs back when pressed in the centre.
Mix the sugar and lemon juice for the glaze, and spoon over the cake while it is still warm. Leave to cool, then cut.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3 4 5 6"),
            Told("", "bake 35-40", "180"),
            Told("7 8"),
        ),
        "1<3 2<3 3<4",
        "",
    ),
    MethodCase(
        """All-butter shortbread fingers
Makes about 24

300 g plain flour
100 g semolina or ground rice
200 g cold butter
100 g caster sugar, plus 1 tbsp to sprinkle

Oven 160C / 140C fan. Rub everything together to crumbs then knead to a dough. Press into a 20 x 30 cm tin, prick all over and mark into fingers. Chill 20 min.
Bake 40–45 min until pale gold. Sprinkle with sugar, cut through the marks while warm and cool in the tin.
""",
        (
            Told("0 1 2 3", "chill 20-20", "160"),
            Told("4", "bake 40-45", "160"),
        ),
        "1<2",
        "",
    ),
    MethodCase(
        """Lemon Tart

Pastry
175g plain flour
100g butter
25g icing sugar
1 large egg yolk
1 tbsp water

Lemon filling
5 eggs
225g caster sugar
150ml double cream
finely grated rind and juice of 4 lemons (150ml juice)

Serves 8-10

To make the pastry, whizz the flour, butter and icing sugar in a processor, add the yolk and water and pulse until it comes together. Wrap and chill for 30 minutes.
Roll out and line a 23cm loose-bottomed flan tin. Prick, line with foil and baking beans and bake blind at 200°C/fan 180°C/gas 6 for 12-15 minutes; remove the foil and beans and bake for another 10 minutes.
Reduce the oven to 160°C/fan 140°C/gas 3. Beat the filling ingredients together and pour into the pastry case. Bake for 35-40 minutes until just set. Leave to cool a little, then dust with icing sugar.
""",
        (
            Told("0 1 2 3 4", "chill 30-30"),
            Told("", "bake 12-15; bake 10-10", "200"),
            Told("5 6 7 8 9", "bake 35-40", "160"),
        ),
        "1<2 2<3",
        "",
    ),
    MethodCase(
        """Vanilla ice cream (custard base)
Makes 1 litre, serves 8

300ml whole milk
300ml double cream
1 vanilla pod
5 egg yolks
120g caster sugar

Heat milk, cream, scraped seeds and pod to just below boiling. Infuse 30 minutes.
Whisk yolks and sugar until pale. Pour on the warm cream, whisking. Return to the pan and cook to 82°C, stirring all the time. Strain and cool over ice, then chill overnight.
Churn, then freeze for at least 4 hours.
""",
        (
            Told("0 1 2", "soak 30-30"),
            Told("3 4", "chill 480-720", "~82"),
            Told("", "freeze 240-240"),
        ),
        "1<3 2<3",
        "",
    ),
)

# Read once, in odd hands: what came out wrong, and was mended.
FIFTH: tuple[MethodCase, ...] = (
    MethodCase(
        """Plum kuchen

Dough: flour 250 g; sugar 50 g; dried yeast 7 g; lukewarm milk 125 ml; butter 50 g, soft; egg 1; salt, pinch.
Fruit: 1 kg plums, halved and stoned.
Streusel: 100 g flour, 75 g butter, 75 g sugar, 1 tsp cinnamon.

1. Knead the dough ingredients 8 min.
2. Let it rise 1 hour till doubled.
3. Roll out onto a greased 30 x 40 tray, lay plums close.
4. Let rise another 20 min.
5. Rub streusel together, scatter.
6. Bake at 190° about 35 min.
""",
        (
            Told("0 1 2 3 4 5 6"),
            Told("", "rise 60-60"),
            Told("7"),
            Told("", "rise 20-20"),
            Told("8 9 10 11"),
            Told("", "bake 35-35", "190"),
        ),
        "1<2 2<3 3<4 4<6 5<6",
        "1|5",
    ),
    MethodCase(
        """MISSISSIPPI-STYLE MUD PIE
Crust: 24 chocolate sandwich cookies, 5 tbsp melted butter
Filling: 3/4 cup butter, 1 3/4 cups packed light brown sugar, 4 large eggs, 1/4 cup cocoa, 1 cup heavy cream, 5 oz bittersweet chocolate
Topping: 1 cup heavy cream, 2 tbsp powdered sugar
1. Crush cookies, mix with butter, press into 9-inch springform.
2. Bake 8 min at 350F.
3. Cream butter and brown sugar, beat in eggs one at a time, then cocoa, cream and melted chocolate.
4. Pour into crust.
5. Bake at 325F for 45 minutes.
6. Cool completely.
7. Chill overnight.
8. Whip cream with powdered sugar and spread on top.
""",
        (
            Told("0 1"),
            Told("", "bake 8-8", "177"),
            Told("2 3 4 5 6 7"),
            Told(),
            Told("", "bake 45-45", "163"),
            Told(),
            Told("", "chill 480-720"),
            Told("8 9"),
        ),
        "1<2 2<4 3<4 4<5 5<6 6<7 7<8",
        "1|3 2|3",
    ),
    MethodCase(
        """Raspberry ripple semifreddo

Serves 8-10

4 egg yolks
100g caster sugar
300ml double cream
2 egg whites
1 tsp vanilla extract
200g raspberries + 1 tbsp icing sugar, puréed and sieved

1. Whisk the yolks and sugar over simmering water for 5 minutes until pale and thick.
2. Cool.
3. Whip cream softly.
4. Whisk whites to soft peaks.
5. Fold cream, then whites and vanilla into the yolks.
6. Line a 900g loaf tin with cling film.
7. Layer with purée, ripple with a skewer.
8. Freeze 6 hours or overnight.
9. Soften 10 minutes before slicing.

Contains raw egg.
""",
        (
            Told("0 1"),
            Told(),
            Told("2"),
            Told("3"),
            Told("4"),
            Told(),
            Told("5 6"),
            Told("", "freeze 360-720"),
            Told("", "rest 10-10"),
        ),
        "1<2 2<5 3<5 4<5 5<7 7<8 8<9",
        "1|3 3|4",
    ),
    MethodCase(
        """Oat and raisin cookies
Makes about 20

115 g butter
100 g light brown sugar
50 g white sugar
1 egg
1 tsp vanilla
90 g plain flour
1/2 tsp bicarbonate of soda
1/2 tsp cinnamon
1/4 tsp salt
140 g rolled oats
100 g raisins

1) Cream butter and both sugars until fluffy. Beat in egg and vanilla.
2) Combine dry ingredients except the oats and stir in. Add oats and raisins.
3) Chill the dough 30 min.
4) Preheat oven to 180 C. Drop spoonfuls on lined baking sheets.
5) Bake 10-12 min. Let stand on the sheets 5 min before moving to a rack.
""",
        (
            Told("0 1 2 3 4"),
            Told("5 6 7 8 9 10"),
            Told("", "chill 30-30"),
            Told("", "", "180"),
            Told("", "bake 10-12; cool 5-5", "180"),
        ),
        "1<2 2<3 3<5 4<5",
    ),
    MethodCase(
        """Orchard crumble, its custard beside it
Serves 6

Fruit
900 g cooking apples, peeled, cored and sliced
75 g demerara sugar
1 tbsp lemon juice

Crumble
175 g plain flour
100 g cold butter, cubed
75 g demerara sugar
50 g porridge oats

Custard
300 ml whole milk
150 ml double cream
4 egg yolks
50 g caster sugar
2 tsp cornflour
1 vanilla pod, split

Heat the oven to 190C/170C fan.
Toss the apples with the sugar and lemon juice and tip into a 2 litre baking dish.
Rub the butter into the flour until it looks like breadcrumbs. Stir in the sugar and oats, and scatter over the fruit.
Bake for 40 minutes until golden and bubbling.
While it bakes, make the custard. Heat the milk, cream and vanilla pod until steaming. Whisk the yolks, sugar and cornflour in a bowl. Pour over the hot milk, whisking, return to the pan and stir over a low heat for 5 minutes until it coats a spoon (82C).
Rest the crumble for 10 minutes and serve with the custard.
""",
        (
            Told("", "", "190"),
            Told("0 1 2"),
            Told("3 4 5 6"),
            Told("", "bake 40-40", "190"),
            Told("7 8 9 10 11 12", "", "~82"),
            Told("", "rest 10-10"),
        ),
        "2<3 3<4 4<6 5<6",
        "4|5 2|5",
    ),
)

# Read once, half of them in odd hands: what came out wrong, and was mended.
SIXTH: tuple[MethodCase, ...] = (
    MethodCase(
        """Grandma's Sour Cream Coffee Cake

Serves 12-16

For the streusel:
3/4 cup packed light brown sugar
1/4 cup all-purpose flour
2 tsp cinnamon
2 tbsp cold butter, cubed
1 cup chopped pecans

For the cake:
3 cups all-purpose flour
1 1/2 tsp baking powder
1 1/2 tsp baking soda
1/2 tsp salt
3/4 cup (1 1/2 sticks) butter, softened
1 1/2 cups granulated sugar
3 large eggs
1 1/2 tsp vanilla
1 1/2 cups sour cream

Preheat oven to 350°F. Grease a 10-inch tube pan.
Make the streusel: mix brown sugar, flour and cinnamon. Cut in butter until crumbly. Stir in pecans.
Whisk flour, baking powder, soda and salt. In a large bowl cream the butter and sugar until light, about 4 minutes. Beat in eggs one at a time, then vanilla.
Add the flour mixture in three parts, alternating with the sour cream.
Spread a third of the batter in the pan, sprinkle with a third of the streusel. Repeat twice, ending with streusel.
Bake 55 to 60 minutes until a tester comes out clean. Cool in the pan 30 minutes, then turn out.
""",
        (
            Told("", "", "177"),
            Told("0 1 2 3 4"),
            Told("5 6 7 8 9 10 11 12"),
            Told("13"),
            Told(),
            Told("", "bake 55-60; cool 30-30", "177"),
        ),
        "3<4 4<5 5<6 2<5",
        "2|3",
    ),
    MethodCase(
        """Milk pudding from the low oven
Serves 5

120 g short-grain rice
60 g sugar
800 ml milk
a pinch of salt
20 g butter
a little grated nutmeg

Heat the oven to 150C. Rinse the rice. Butter a deep dish, put in the rice and sugar and pour on the milk. Salt it, grate the nutmeg over and dot with the butter. Cook for 2 hours or until the skin is brown and the middle just wobbles.
""",
        (Told("0 1 2 3 5 4", "bake 120-120", "150"),),
        "",
        "",
    ),
    MethodCase(
        """best ever carrot cake (recipe from next door)
wet:
3 eggs, 300ml sunflower oil, 250g light muscovado
dry:
300g SR flour, 2 tsp cinnamon, 1 tsp bicarb, ½ tsp salt
extras: 250g grated carrots, 100g walnuts (chop), 75 g raisins
frosting: 300g full fat soft cheese, 75g butter, 150g icing sugar + zest 1 orange
2 x 20cm tins, 180C, 30-35 mins, feeds 14
Beat wet. sift dry on top & fold. extras in. divide between tins, bake, cool on rack.
Beat butter and icing sugar, then soft cheese and zest — don't overdo it. Sandwich + top.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3 4 5 6 7 8 9", "bake 30-35", "180"),
            Told("11 12 10 13"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Summer pudding
500g raspberries
250g redcurrants
150g blackcurrants
140g sugar
8 slices white bread, a day old, crusts off
(enough for 6, 1.2 litre basin)
day 1
Fruit (keep back a handful of raspberries) and sugar in pan, 3 mins low heat until juices run.
Line basin w. bread, no gaps. Spoon in fruit + most of the juice, bread lid. Plate + weight on top, fridge overnight.
day 2
turn out, spoon reserved juice over pale bits, pile on the raspberries you kept.
""",
        (
            Told("1 2 0:0.9 3", "simmer 3-3"),
            Told("4", "chill 480-720"),
            Told("0:0.1"),
        ),
        "1<3 2<3",
        "",
    ),
    MethodCase(
        """Set cream and plum sauce
Serves 5
4 gelatine leaves
300 ml milk
300 ml double cream
40 g sugar

For the sauce:
120 g sugar
150 ml water
a splash of brandy
400 g plums

Soak the gelatine in cold water for 5 minutes. Bring the milk, cream and sugar to just below a simmer.
Squeeze the water out of the gelatine, drop it in off the heat and stir until dissolved.
Pour into five cups, cool, then chill for 4 hours until set.
For the sauce, boil the sugar and water for 3 minutes with the brandy. Add half the plums and simmer for 10 minutes.
Blend until smooth, press through a sieve and stir in the remaining fruit.
""",
        (
            Told("0 1 2 3", "soak 5-5"),
            Told(),
            Told("", "chill 240-240"),
            Told("4 5 6 7:0.5", "simmer 3-3; simmer 10-10"),
            Told("7:0.5"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Mango sticky rice
Serves 4

200 g glutinous rice
400 ml tin coconut milk
100 g palm sugar
1/2 tsp salt
2 ripe mangoes
1 tbsp toasted sesame seeds

Soak the rice in cold water for at least 4 hours or overnight. Drain and steam for 25 minutes until tender.
Warm the coconut milk with the sugar and salt until dissolved; do not boil. Keep back 100 ml.
Tip the hot rice into a bowl, pour on the rest of the coconut milk, cover and leave for 20 minutes.
Slice the mangoes. Serve the rice with the mango, the reserved coconut milk and the sesame seeds.
""",
        (
            Told("0", "soak 240-720; simmer 25-25"),
            Told("1 2 3"),
            Told("", "rest 20-20"),
            Told("4 5"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Anzac bikkies. Makes 30
1c rolled oats
1c plain flour
1c brown sugar
1/2c desiccated coconut
125g butter
2T golden syrup
1T water
1/2t bicarb
Dry in a bowl. Butter, syrup & water over a low heat till melted; bicarb in (it foams). Wet into dry. Walnut size lumps, flatten, room to spread. 160C 10-12 min. Firm up on the tray 5 min.
""",
        (Told("0 1 2 3 4 5 6 7", "bake 10-12; rest 5-5", "160"),),
        "",
        "",
    ),
    MethodCase(
        """Salted honey fudge
400g tin condensed milk, 150ml milk, 350g demerara, 80g honey, 115g butter, 1 tsp sea salt flakes
Everything but the salt into a big pan. Low heat till dissolved, then boil gently 15-20 mins stirring all the time to 115C. Off the heat beat 10 mins - hand mixer 5 - till thick and dull. Half the salt in. Into lined 20cm sq tin, rest of salt over. Set 2 hrs room temp. Cut 36.
""",
        (Told("0 1 2 3 4 5", "simmer 15-20; set 120-120", "~115"),),
        "",
        "",
    ),
    MethodCase(
        """Plum and blackberry crumble, cooked apart
Serves 4
For the crumble topping
130 g plain flour
70 g caster sugar
70 g unsalted butter at room temperature, cubed
For the fruit
350 g plums
30 g unsalted butter
40 g demerara sugar
120 g blackberries
a pinch of cinnamon

Heat the oven to 190C. Tip flour and caster sugar into a bowl. Add the butter and rub it in to coarse crumbs. Spread over a tray and bake for 15 minutes until sandy.
Meanwhile, for the fruit, stone and quarter the plums. Melt the butter with the demerara sugar in a wide pan and cook for 3 minutes.
Stir in the plums and cook for 4 minutes. Add the blackberries and cinnamon and cook for 2 minutes more.
Spoon the fruit into a dish, put the crumble on top and warm it through in the oven for 8 minutes.
""",
        (
            Told("0 1 2", "bake 15-15", "190"),
            Told("3 4 5", "simmer 3-3"),
            Told("6 7", "simmer 4-4; simmer 2-2"),
            Told("", "bake 8-8", "190"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Chocolate and pear tart
Makes 10 slices
Pastry:
200g plain flour
25g cocoa
100g cold butter
75g icing sugar
1 egg
Filling:
100g dark chocolate
100g butter
2 eggs
100g caster sugar
50g ground almonds
3 ripe pears

Rub the butter into the flour, cocoa and icing sugar, then bind with the egg. Wrap and chill for 1 hour.
Roll out the pastry, line a 25cm tart tin and freeze for 15 minutes. Heat the oven to 190C. Bake blind for 15 minutes, remove the beans and cook for 5 minutes more. Reduce the oven to 170C.
Meanwhile melt the chocolate and butter together and let it cool slightly. Whisk the eggs and sugar until thick, fold in the chocolate mixture and almonds. Spread in the case. Peel, halve and core the pears, slice them and push them into the filling. Bake for 35-40 minutes. Leave to cool for 20 minutes before serving warm.
""",
        (
            Told("2 0 1 3 4", "chill 60-60"),
            Told("", "freeze 15-15; bake 15-15; bake 5-5", "190 170"),
            Told("5 6 7 8 9 10", "bake 35-40; cool 20-20", "170"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Blueberry slab

Crust and topping
3 cups flour
1 cup sugar
1 tsp baking powder
1/4 tsp salt
1 cup cold butter
1 egg

Fruit
5 cups blueberries
1/2 cup sugar
3 tsp cornstarch
juice of 1 lemon

Makes 24 squares. Oven 375F, greased 9x13 pan. Stir dry stuff of the crust together, cut in butter then egg - it'll be crumbly. Pat half of it into the pan. In another bowl toss the berries with their sugar, cornstarch and the lemon juice, spread over. Crumble the rest of the dough over the berries. 45 min till the top is light brown. Cool completely before cutting.
""",
        (Told("0 1 2 3 4 5 6 7 8 9", "bake 45-45", "191"),),
        "",
        "",
    ),
    MethodCase(
        """| Coffee panna cotta | 4 pots |
|---|---|
| 400 ml | double cream |
| 150 ml | whole milk |
| 70 g | caster sugar |
| 3 leaves | gelatine |
| 2 tbsp | instant coffee |

1) Gelatine in cold water, 5 mins.
2) Everything else in a pan, heat gently until sugar dissolved - not boiling.
3) Off heat. Squeeze gelatine, stir in until gone.
4) Into pots; fridge 4 hrs min.
5) Dip in hot water to turn out.
""",
        (
            Told("3", "soak 5-5"),
            Told("0 1 2 4"),
            Told(),
            Told("", "chill 240-240"),
            Told(),
        ),
        "1<3 2<3 3<4",
        "",
    ),
    MethodCase(
        """No-bake date & oat bars – 16
Ingredients: 250g dates, 150g oats, 100g peanut butter, 60g honey, 50g dark chocolate, 30g coconut oil, pinch salt
- blitz dates in processor
- warm PB + honey, 1 min in microwave
- mix it all (not the choc and coconut oil) with oats & salt
- press in 20cm square tin
- melt choc with coconut oil → pour on
- freezer 30 mins / fridge 2 hrs
- cut in 16
""",
        (
            Told("0"),
            Told("2 3"),
            Told("1 6"),
            Told(),
            Told("4 5"),
            Told("", "freeze 30-30"),
            Told(),
        ),
        "",
        "",
    ),
    MethodCase(
        """Rhubarb fool (6 glasses)
500g rhubarb cut up
100g sugar
1 orange - juice only
300ml double cream
200g thick custard
- rhubarb, sugar and juice in a lidded pan, 10 mins low till collapsed. Taste - more sugar if it needs. Cool completely (an hour or so).
- cream to soft peaks
- fold in custard then most of the rhubarb, leave it streaky
- glasses, rest of the rhubarb on top. chill min 1hr
""",
        (
            Told("0 1 2", "simmer 10-10; cool 60-60"),
            Told("3"),
            Told("4"),
            Told("", "chill 60-60"),
        ),
        "",
        "",
    ),
)

# Read once, of forty in many hands: what came out wrong, and was mended.
SEVENTH: tuple[MethodCase, ...] = (
    MethodCase(
        """salted caramel brownies!!

so good, from my sister in law. makes 1 8in pan = 16 small squares

170g dark choc (70%)
170 g butter
3 eggs
150 caster sugar
100 light muscovado
75g plain flour
25g cocoa
200g thick salted caramel sauce from a jar
flaky salt

melt choc & butter over simmering water. whisk eggs + both sugars 5 mins til pale & thick. fold in the choc mix, sift in flour & cocoa, fold. 1/2 in the tin, dollop over half the caramel, rest of batter, rest of caramel, swirl w/ a knife. sprinkle w/ salt. 180/160fan 30-35 mins - should still wobble a bit. cool completely, chill 1 hr, cut.
""",
        (Told("0 1 2 3 4 5 6 7 8", "bake 30-35; chill 60-60", "180"),),
        "",
        "",
    ),
    MethodCase(
        """Pear and almond frangipane tart

For the pastry
175g plain flour
100g cold butter, cubed
25g icing sugar
1 egg yolk
1 tbsp cold water

For the frangipane
100g butter, softened
100g caster sugar
2 eggs, beaten
100g ground almonds
25g plain flour
few drops almond extract

To finish
1 x 410g tin pear halves in juice, drained
2 tbsp flaked almonds
2 tbsp apricot jam, warmed, to glaze

Rub the butter into the flour and icing sugar. Add the yolk and water and bring together. Chill 30 minutes.
Roll out and line a 23cm fluted tart tin. Chill 15 mins more. Preheat oven to 190C (fan 170).
Blind bake 15 minutes with beans, then 5 without.
Cream the butter and sugar, add the eggs gradually, then fold in almonds, flour and extract. Spread in the case. Arrange the pears on top, scatter the flaked almonds.
Bake for 35-40 minutes until golden and set. Brush with the warm jam. Serves 8-10.
""",
        (
            Told("1 0 2 3 4", "chill 30-30"),
            Told("", "chill 15-15", "190"),
            Told("", "bake 15-15; bake 5-5", "190"),
            Told("5 6 7 8 10 9 11 12"),
            Told("13", "bake 35-40", "190"),
        ),
        "2<4 3<4",
        "",
    ),
    MethodCase(
        """NO KNEAD CINNAMON ROLLS  (12 rolls)

DOUGH
4 c. flour
1/3 c. sugar
1 tsp. salt
2 1/4 tsp. instant yeast
1 1/2 c. warm milk
6 T. melted butter
1 egg

FILLING
1/2 c. soft butter
1 c. packed brown sugar
2 1/2 T. cinnamon

ICING
4 oz. cream cheese
1/4 c. butter
1 1/2 c. powdered sugar
1/2 t. vanilla

Stir together dry dough ingredients; add milk, butter & egg. Mix until no dry flour remains. Cover, let rise 2 hours. Roll to 12 x 18 inches. Spread with butter, sprinkle with brown sugar & cinnamon. Roll up, cut in 12. Place in greased 9x13, rise 45 min. Bake 375° 22-25 min. Beat icing ingredients and spread on warm rolls.
""",
        (Told("0 1 2 3 4 5 6 7 8 9 10 11 12 13", "rise 120-120; rise 45-45; bake 22-25", "191"),),
        "",
        "",
    ),
    MethodCase(
        """Dutch Apple Pie - Appeltaart

Ingredients (for 12 slices, springform 24 cm)
Dough
300 g self-raising flour
200 g cold butter
150 g light brown caster sugar (basterdsuiker)
1 egg, beaten (half for the dough, half for brushing)
pinch of salt
Filling
1.5 kg tart apples
75 g raisins, soaked in warm water
40 g sugar
2 tsp cinnamon
2 tbsp custard powder
1 tbsp lemon juice
2 tbsp breadcrumbs for the base

Preparation
Knead flour, butter, sugar, salt and half the egg to a dough. Rest it 30 min in the fridge.
Peel and dice the apples. Mix with the drained raisins, sugar, cinnamon, custard powder and lemon juice.
Line the tin with two thirds of the dough. Sprinkle the base with breadcrumbs. Fill. Make a lattice with the rest of the dough, brush with the remaining egg.
Bake 60 - 70 min at 175 °C in the middle of the oven. Let cool in the tin.
""",
        (
            Told("0 1 2 4 3:0.5", "chill 30-30"),
            Told("5 6 7 8 9 10"),
            Told("11 3:0.5"),
            Told("", "bake 60-70", "175"),
        ),
        "3<4",
        "",
    ),
    MethodCase(
        """WALNUT POTICA ROLL

FOR THE DOUGH            FOR THE FILLING
500 g bread flour        400 g walnuts, ground
7 g dry yeast            150 ml hot milk
250 ml lukewarm milk     150 g honey
80 g sugar               50 g butter
80 g butter, melted      2 egg whites
2 egg yolks              1 tsp cinnamon
1 tsp salt               1 tbsp rum

Mix dough, knead 10 min, rise 1 h. Pour hot milk over walnuts, stir in honey, butter, cinnamon and rum; cool; fold in beaten whites. Roll dough thin, spread, roll up, place in a bundt tin. Rise 45 min. Brush w. egg. Bake at 180°C 45-50 min.
Gives about 18 slices
""",
        (Told("0 1 2 3 4 5 6 8 7 9 10 12 13 11", "rise 60-60; rise 45-45; bake 45-50", "180"),),
        "",
        "",
    ),
    MethodCase(
        """Ingredient list for "Malva Pudding" (makes one 20x30 dish, 12 helpings)

1 cup castor sugar
2 eggs
1 Tbsp smooth apricot jam
1 1/4 cups cake flour
1 tsp bicarb
1/2 tsp salt
2 Tbsp butter
1 tsp vinegar
100ml milk

SAUCE: 1 cup cream; 125g butter; 3/4 cup sugar; 1/2 cup hot water; 1 tsp vanilla

METHOD
Beat sugar, eggs 5 mins; add jam. Sift dry. Melt butter, add vinegar & milk. Mix wet & dry alternately into egg mix. Bake at 180deg for 40 mins until dark brown. Boil the sauce ingredients together & pour over pudding as it comes out of the oven.
""",
        (Told("0 1 2 3 4 5 6 7 8 9 10 11 12 13", "bake 40-40", "180"),),
        "",
        "",
    ),
    MethodCase(
        """COURGETTE LOAF *** (no refined sugar) ***

300g courgette; 2 eggs; 125ml olive oil; 150g honey; 1tsp vanilla; 250g wholemeal flour; 1tsp bicarb; ½tsp baking powder; 2tsp cinnamon; ½tsp salt; 60g walnuts

Grate courgette (don't squeeze). Whisk eggs, oil, honey, vanilla. Stir in courgette. Fold in dries + nuts. 900g loaf tin. 170°C/fan 150°C, 55-60min. 12 slices, 1 slice=210kcal.
""",
        (Told("0 1 2 3 4 5 6 7 8 9 10", "bake 55-60", "170"),),
        "",
        "",
    ),
    MethodCase(
        """Profiteroles for 8 people, 4 each

CHOUX: 150 ml water, 60 g butter, 75 g strong flour, 2 eggs beaten, pinch sugar
FILLING: 300 ml whipping cream, 1 tbsp icing sugar
SAUCE: 150 g plain chocolate, 100 ml cream, 1 tbsp golden syrup

Boil water + butter, tip in flour off the heat, beat to a ball. Cool 5 min, beat in eggs. Pipe 32. 200 °C 25 min; pierce; 5 min more. Fill when cold. Melt the sauce things together.
""",
        (Told("0 1 2 3 5 6 7 8 9", "cool 5-5; bake 25-25; bake 5-5", "200"),),
        "",
        "",
    ),
    MethodCase(
        """Old-Fashioned Gingersnaps

Makes: 5 dozen

3/4 cup shortening
1 cup sugar
1/4 cup molasses
1 egg
2 cups all-purpose flour
2 tsp baking soda
1 tsp cinnamon
1 tsp ground ginger
1/2 tsp ground cloves
1/4 tsp salt
additional sugar for rolling

Cream shortening and sugar. Beat in molasses and egg. Combine dry ingredients; gradually add to creamed mixture. Chill 1 hour. Roll into 1-in. balls, roll in sugar. Place 2 in. apart on ungreased baking sheets. Bake at 375° for 10 minutes or until edges are crisp. Cool on racks.
""",
        (Told("0 1 2 3 4 5 6 7 8 9 10", "chill 60-60; bake 10-10", "191"),),
        "",
        "",
    ),
    MethodCase(
        """Bakewell Slice

for the base:
200g plain flour
100g cold butter
25g icing sugar
1-2 tbsp cold water
for the top:
4 tbsp raspberry jam
150g butter, soft
150g caster sugar
3 eggs
150g ground almonds
1 tsp almond extract
25g flaked almonds

Blitz flour, butter, icing sugar to crumbs; add water to bring together. Press into a 20 x 30cm tin, chill 20 min. Bake 180C/fan 160C 15 min. Spread with jam. Beat butter, sugar, eggs, ground almonds, extract; spread on, scatter with flaked almonds. Bake 25-30 min. Cool. Cut into 15.
""",
        (Told("0 1 2 3 4 5 6 7 8 9 10", "chill 20-20; bake 15-15; bake 25-30", "180"),),
        "",
        "",
    ),
    MethodCase(
        """Treacle Tart

Pastry: 225 g plain flour, 110 g butter, 1 egg, 1-2 tbsp water
Filling: 450 g golden syrup, 150 g fresh white breadcrumbs, zest and juice of 1 lemon, 1 egg, 3 tbsp double cream

Make pastry, rest 30 mins, line a deep 23 cm flan tin. Warm the syrup, stir in everything else. Pour into the raw case. Bake at 200 C (180 C fan) for 10 mins, then 180 C (160 C fan) for another 30 mins. Serves 8.
""",
        (Told("0 1 2 3 4 5 6 7 8 9", "rest 30-30; bake 10-10; bake 30-30", "200 180"),),
        "",
        "",
    ),
    MethodCase(
        """** FIG & ANISE BISCOTTI **
(about 3 dozen)

2 1/2 C. flour ............ 1 C. sugar
1 tsp. baking powder ...... 1/4 tsp. salt
3 eggs .................... 1 tsp. vanilla
2 tsp. anise seed ......... 1 C. chopped dried figs
1 C. whole almonds

Mix dry. Add eggs + vanilla; stir in rest. Form 2 logs. Bake 350 for 30 min. Cool 10 min., slice 1/2" thick. Lower oven to 300, bake slices 10 min. per side.
""",
        (Told("0 1 2 3 6 4 5 7 8", "bake 30-30; cool 10-10; bake 20-20", "177 149"),),
        "",
        "",
    ),
)

# Read once as they came out, and mended.
EIGHTH: tuple[MethodCase, ...] = (
    MethodCase(
        """Apricot & Almond Traybake

Makes 15 squares
Prep 20 mins, cook 35 mins

175g softened butter, plus extra for the tin
150g golden caster sugar
3 eggs, beaten
1 tsp almond extract
175g self-raising flour
75g ground almonds
2-3 tbsp milk
200g apricots (about 5), stoned and sliced
25g flaked almonds
icing sugar, to dust

Method
1. Heat the oven to 180C/160C fan/gas 4. Butter and line a 20 x 30cm traybake tin.
2. Beat the butter and sugar together until pale and fluffy, then gradually add the eggs and almond extract.
3. Fold in the flour and ground almonds, adding enough milk to give a soft dropping consistency.
4. Spread into the tin, arrange the apricots over the top and scatter with the flaked almonds.
5. Bake for 30-35 mins until golden and a skewer comes out clean. Cool in the tin for 10 mins, then turn out. Dust with icing sugar and cut into 15.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3"),
            Told("4 5 6"),
            Told("7 8"),
            Told("9", "bake 30-35; cool 10-10", "180"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Blackberry Fool Pots
Serves 4 | Hands-on 15 min plus 1 hr chilling

300g blackberries, plus a few to serve
50g caster sugar
1 tbsp crème de cassis (optional)
300ml double cream
150g Greek yogurt
2 tbsp icing sugar
4 shortbread fingers, to serve

1 Put the blackberries and caster sugar in a pan with 1 tbsp water. Simmer for 5 min until soft. Crush with a fork, stir in the cassis and leave to cool completely.
2 Whip the cream with the icing sugar to soft peaks, then fold in the yogurt.
3 Ripple two thirds of the fruit through the cream. Spoon into 4 glasses, top with the rest of the fruit and chill for 1 hr.
4 Serve with the extra blackberries and the shortbread.
""",
        (
            Told("0 2 8 3", "simmer 5-5"),
            Told("4 6 5"),
            Told("", "chill 60-60"),
            Told("1 7"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Lemon Ricotta Pancakes
Serves: 3-4 (makes 12 small)

250 g ricotta
125 ml milk
2 eggs, separated
100 g plain flour
1 tsp baking powder
1 Tbs sugar
zest of 1 lemon
small knob of butter for frying
To serve: maple syrup & blueberries

Whisk ricotta, milk and egg yolks. Stir in the flour, baking powder, sugar and zest.
Whisk the whites to stiff peaks and fold through.
Heat the butter in a pan over medium heat. Fry spoonfuls for 2 minutes on each side.
Serve warm with maple syrup and blueberries.
""",
        (
            Told("0 1 2:0.34 3 4 5 6"),
            Told("2:0.66"),
            Told("7"),
            Told("8 9"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Banana Oat Breakfast Cookies
makes: 16 cookies
oven: 180 C

3 very ripe bananas (~300 g peeled)
200 g rolled oats
60 g peanut butter
40 g honey
50 g dark chocolate chips
1 tsp cinnamon
pinch of salt

Mash bananas, mix everything in. Rest 10 min so the oats soak. Scoop 16 heaps onto a lined tray, flatten. 15-18 min. Cool on tray.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3 4 5 6", "rest 10-10; bake 15-18", "180"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Classic Treacle Tart

Pastry:
225g plain flour
110g cold butter, diced
2-3 tbsp cold water

Filling:
400g golden syrup
75g fresh white breadcrumbs
Zest & juice of 1 lemon
1 egg, beaten
3 tbsp double cream

Serves 8

1. Rub the butter into the flour until it looks like crumbs. Add just enough water to make a dough. Wrap and chill for 30 minutes.
2. Heat oven to 190C/fan 170C. Roll out the pastry and line a 23cm fluted tart tin. Prick the base and chill 15 minutes. Line with paper and beans and bake blind for 15 minutes, remove the beans and cook 5 minutes more.
3. Warm the syrup until runny. Stir in the breadcrumbs, zest and juice, egg and cream.
4. Pour into the case. Bake for 30-35 minutes at 170C/fan 150C until set. Serve warm.
""",
        (
            Told("1 0 2", "chill 30-30"),
            Told("", "chill 15-15; bake 15-15; bake 5-5", "190"),
            Told("3 4 5 6 7 8"),
            Told("", "bake 30-35", "170"),
        ),
        "",
        "",
    ),
    MethodCase(
        """| Ingredient | Amount | Notes |
|---|---|---|
| Almond flour | 200 g | blanched |
| Erythritol, powdered | 80 g | |
| Butter | 90 g | soft |
| Egg | 1 | 50 g |
| Vanilla extract | 1 tsp | |
| Baking powder | 1/2 tsp | |
| Dark chocolate 85% | 80 g | chopped |
| Salt | 1 pinch | |

# Low-carb chocolate chunk cookies

Yield: 14 cookies of 32 g
Bake: 170 °C, 12 min, middle rack

1. Beat butter with erythritol. 2. Add egg and vanilla. 3. Mix in almond flour, baking powder, salt. 4. Fold in chocolate. 5. Chill 30 min. 6. Shape, flatten, bake. 7. Cool completely on the tray, they are fragile when hot.
""",
        (
            Told("", "", "170"),
            Told("2 1 3 4 0 5 7 6", "chill 30-30; bake 12-12", "170"),
        ),
        "",
        "",
    ),
    MethodCase(
        """1 Preheat oven 160C. 2 Boil 2 oranges 1 hr, drain, quarter, take out pips, whizz skin and all. 3 Beat 6 eggs w 225g sugar till thick. 4 Fold in orange, 250g ground almonds, 1 tsp baking pwdr. 5 Into lined 23cm springform, 50-60 min. Cool in tin.

(Whole orange & almond cake -- 10 portions. GF)
""",
        (Told("0 1 2 3 4", "simmer 60-60; bake 50-60", "160"),),
        "",
        "",
    ),
    MethodCase(
        """Quick lemon drizzle. Beat together 225g soft butter and 225g caster sugar until pale, add 4 eggs one at a time, then sift in 225g self-raising flour and add the zest of a lemon. Put in a lined loaf tin and bake at 180C for 45-50 minutes. While it cools in its tin mix together the juice of 1½ lemons and 85g caster sugar, prick the warm cake all over and pour over. Cuts into 10 slices.
""",
        (Told("0 1 2 3 4 5 6", "bake 45-50", "180"),),
        "",
        "",
    ),
    MethodCase(
        """Chocolate Guinness-style stout cake

For the cake
250 ml stout
250 g unsalted butter
75 g cocoa powder
400 g caster sugar
142 ml pot sour cream
2 eggs
1 tbsp vanilla extract
275 g plain flour
2½ tsp bicarbonate of soda

For the topping
300 g cream cheese
150 g icing sugar
125 ml double cream

Serves 12

Preheat the oven to gas mark 4/180°C. Butter and line a 23cm springform tin.
Pour the stout into a large saucepan, add the butter in slices and heat until melted, then whisk in the cocoa and sugar. Beat the sour cream with the eggs and vanilla and pour into the pan. Finally whisk in the flour and bicarb.
Pour the batter into the tin and bake for 45 minutes to an hour. Leave to cool completely in the tin on a rack.
Lightly whip the cream cheese until smooth, sift in the icing sugar and beat together. Add the cream and beat again until spreadable. Ice the top of the cake.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3 4 5 6 7 8"),
            Told("", "bake 45-60", "180"),
            Told("9 10 11"),
        ),
        "",
        "",
    ),
)

# Read once as they came out, and mended.
NINTH: tuple[MethodCase, ...] = (
    MethodCase(
        """Gingerbread Pancakes w/ Applesauce
Makes 10 to 12 pancakes (serves 4)

1 1/2 c all-purpose flour
1 Tbsp baking powder
1/4 tsp salt
1 tsp ground ginger
1 tsp cinnamon
pinch cloves
1 1/4 c milk
1 egg
3 Tbsp molasses
2 Tbsp butter, melted + more for the pan
1 c unsweetened applesauce, to serve

Whisk dry stuff. In another bowl whisk milk, egg, molasses, butter. Combine - lumps OK. Rest 5 min. Cook on a buttered griddle over med. heat till bubbles form, about 2 min, flip, 1 min more. Top w/ warm applesauce.
""",
        (Told("0 1 2 3 4 5 6 7 8 9 10", "rest 5-5; simmer 2-2"),),
        "",
        "",
    ),
    MethodCase(
        """Vanilla Slice
Cuts into 8

2 sheets (375 g) ready-rolled puff pastry
600 ml milk
1 vanilla pod
6 egg yolks
120 g caster sugar
60 g cornflour
25 g butter
Icing
200 g icing sugar
2-3 tbsp water

Bake the pastry sheets at 200°C between two trays for 20-25 min until crisp. Cool and trim to 20 cm squares.
Heat milk with the split vanilla pod. Whisk yolks, sugar and cornflour; pour on the hot milk, return to the pan and cook, stirring, till very thick. Beat in butter. Spread warm over one pastry sheet in a lined 20 cm tin, top with the other. Chill 4 hours.
Mix the icing sugar with water and spread on top. Leave to set 30 min, then cut into 8 with a serrated knife.
""",
        (
            Told("0", "bake 20-25", "200"),
            Told("1 2 3 4 5 6", "chill 240-240"),
            Told("7 8", "set 30-30"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Wholemeal Scones with Dates (8)

225 g wholemeal flour
1 tbsp baking powder
pinch of salt
50 g butter
25 g soft brown sugar
75 g dates, chopped
150 ml milk + a little for brushing

Oven 220 C. Rub fat into flour, baking powder & salt, stir in sugar & dates, mix to a soft dough with the milk. Pat out 2 cm thick, cut 8 rounds with a 6 cm cutter. Brush with milk. 10-12 min. Eat same day, split & buttered.
""",
        (Told("3 0 1 2 4 5 6", "bake 10-12", "220"),),
        "",
        "",
    ),
    MethodCase(
        """Honey-roasted figs with mascarpone
serves 4 as a dessert

8 figs
3 tbsp clear honey
1 tbsp brandy
juice of ½ orange
1 sprig of thyme
To serve
125 g mascarpone
1 tsp vanilla bean paste
1 tbsp icing sugar
25 g pistachios, roughly chopped

Preheat oven to 200°C/180°C fan. Cut a deep cross in each fig and sit them in a baking dish. Mix the honey, brandy and orange juice, spoon over and add the thyme. Roast for 15 minutes, basting once.
Beat the mascarpone with the vanilla and icing sugar. Serve the warm figs with their juices, a spoonful of mascarpone and the pistachios.
""",
        (
            Told("0 1 2 3 4", "bake 15-15", "200"),
            Told("5 6 7 8"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Menu  Home  About  Recipes  Contact

THE BEST FLOURLESS CHOCOLATE TORTE
by Hannah | Feb 12 | 43 Comments

Jump to Recipe

This torte is everything. Rich, dark, and made in under an hour, it has been on our table every Valentine's day for 6 years!

You might also like: Almond Cake, 3-Ingredient Fudge

FLOURLESS CHOCOLATE TORTE
Yield: 12
prep time: 15 MINUTES   cook time: 40 MINUTES   total time: 55 MINUTES

Ingredients
1x  2x  3x
▢ 8 ounces bittersweet chocolate, chopped
▢ 1 cup unsalted butter (2 sticks)
▢ 1 1/4 cups granulated sugar
▢ 3/4 teaspoon kosher salt
▢ 6 large eggs
▢ 1 cup unsweetened cocoa powder, plus more for dusting

Instructions
STEP 1
Heat the oven to 375F. Butter a 10-inch springform pan and dust with cocoa.
STEP 2
Melt chocolate and butter in a double boiler. Remove from heat, whisk in the sugar and salt, then the eggs one by one.
STEP 3
Sift in cocoa and whisk until just combined.
STEP 4
Bake 35-40 minutes until the top has formed a thin crust. Cool 10 minutes, then unmold.

Nutrition Facts
Calories 389 | Fat 26g | Sugar 24g | Protein 6g
""",
        (
            Told("", "", "191"),
            Told("0 1 2 3 4"),
            Told("5"),
            Told("", "bake 35-40; cool 10-10", "191"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Zwetschgendatschi / Bavarian plum sheet cake

Teig / Dough                       Belag / Topping
375 g flour                        1,5 kg plums, stoned
20 g fresh yeast                   50 g sugar
60 g sugar                         1 tsp cinnamon
175 ml lukewarm milk               Streusel
75 g butter                        150 g flour
1 egg                              100 g sugar
1 pinch salt                       100 g butter

Makes 1 tray, 20 pieces

Dissolve yeast in milk with 1 tsp of the sugar. Knead all dough things to a smooth dough, let rise 45 min.
Roll out on a greased tray, lay plums in rows like roof tiles. Rub streusel together, scatter over. Rise again 15 min.
Bake 200° (top & bottom heat) 35 min. Sprinkle hot with cinnamon and sugar.
""",
        (
            Told("1 3 2 0 4 5 6", "rise 45-45"),
            Told("7 10 11 12", "rise 15-15"),
            Told("9 8", "bake 35-35", "200"),
        ),
        "",
        "",
    ),
    MethodCase(
        """❤ STRAWBERRY SHORTCAKES ❤

🍓 for the berries 🍓
1 lb strawberries, sliced → toss with ¼ c. sugar, let sit 30 min

🧁 for the biscuits 🧁
2 c. flour • ¼ c. sugar • 1 Tbsp. baking powder • ½ tsp. salt • 6 Tbsp. cold butter • ¾ c. heavy cream • 1 egg

☁ for the cream ☁
1 c. heavy cream • 2 Tbsp. powdered sugar • ½ tsp. vanilla

👩‍🍳 Cut butter into dry, add cream + egg, pat 1" thick, cut 6 rounds. 425°F, 15 min. Whip the cream. Split, fill, eat.
""",
        (Told("6 2 3 4 5 7 8 9 10 11", "bake 15-15", "218"),),
        "",
        "",
    ),
    MethodCase(
        """PROTEIN CHEESECAKE (macro friendly)

Base
60 g oats
30 g almond butter
15 g honey
Filling
400 g light cream cheese
300 g 0% greek yoghurt
2 scoops (60 g) vanilla whey protein
60 g granulated sweetener (erythritol)
2 eggs + 1 white
1 T cornflour
Zest 1/2 lemon

Blitz base, press in lined 7-inch springform, 10 min @ 170.
Whizz filling, pour over. 150C, 45-50 min, wobble in the middle. Oven off, door ajar 1 h. Fridge overnight.
10 slices: 172 kcal, P 15 C 9 F 8
""",
        (
            Told("0 1 2", "bake 10-10", "170"),
            Told("3 4 5 6 7 8 9 10", "bake 45-50; cool 60-60; chill 480-720", "150"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Yorkshire curd tart ... from the WI book, 1950s

6 oz shortcrust pastry
8 oz curds (well drained)
2 oz butter
2 oz castor sugar
2 oz currants
1 egg
a little grated nutmeg
grated rind of 1 lemon

Line a 7" sandwich tin with the pastry. Cream butter and sugar, add the beaten egg, curds, currants, rind & nutmeg. Fill the pastry case. Bake in a moderately hot oven, 375 F, Regulo 5, 30 - 35 mins until golden. Serves 6
""",
        (Told("0 2 3 5 1 4 7 6", "bake 30-35", "191"),),
        "",
        "",
    ),
)

# Read once as they came out, and mended.
TENTH: tuple[MethodCase, ...] = (
    MethodCase(
        """Sticky Toffee Pudding for 6

For the sponge
175g stoned dates, chopped
1 tsp bicarbonate of soda
60g butter, plus a knob for the dish
80g light muscovado sugar
80g dark muscovado sugar
2 eggs, beaten
175g self-raising flour
1 pinch ground cloves

For the toffee sauce
115g butter
75g caster sugar
40g dark muscovado sugar
140ml double cream

Put the dates in a bowl with 275ml boiling water and the bicarb and leave to soak for 10 minutes.
Preheat the oven to 180C. Butter a 1.2 litre baking dish. Beat the butter and both sugars, then beat in the eggs a little at a time. Fold in the flour and cloves, then the dates with their soaking water.
Pour into the dish and bake for 35-40 minutes.
Meanwhile put all the sauce ingredients in a small pan, heat slowly until the sugar dissolves then simmer for 4 minutes. Pour half the sauce over the hot pudding, leave 10 mins and serve with the rest.
""",
        (
            Told("0 12 1", "soak 10-10"),
            Told("2 3 4 5 6 7", "", "180"),
            Told("", "bake 35-40", "180"),
            Told("8 9 10 11", "simmer 4-4; rest 10-10"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Cinnamon Rolls (Grandma Ruth's)

DOUGH
1 c. warm milk (110 F)
2 1/4 t. (1 env.) active dry yeast
1/2 c. sugar
1/3 c. butter, melted
1 t. salt
2 eggs
4 1/2 c. flour
FILLING
1 c. brown sugar, packed
2 1/2 T. cinnamon
1/3 c. butter, softened
ICING
3 oz. cream cheese
1/4 c. butter
1 1/2 c. powdered sugar
1/2 t. vanilla

Dissolve yeast in milk. Mix in sugar, butter, salt, eggs. Add flour, knead 5 min. Rise until double, 1 hr. Roll out 16x21 in. Spread with butter, sprinkle on sugar & cinnamon. Roll up, cut in 12. Place in greased 9x13 pan, rise 30 min. Bake at 400 for 15 min. Beat icing ingredients, spread on warm rolls.
""",
        (Told("1 0 2 3 4 5 6 9 7 8 10 11 12 13", "rise 60-60; rise 30-30; bake 15-15", "204"),),
        "",
        "",
    ),
    MethodCase(
        """Pear and Almond Tart
For 8 people

Sweet pastry (ready made block) 375 g
3 ripe pears, peeled, halved, cored
100 g soft butter
100 g golden caster sugar
2 eggs
100 g ground almonds
1 tbsp plain flour
1 tbsp apricot jam, warmed, to glaze

Heat the oven to gas 5, 190°C. Roll out the pastry, line a 25cm loose-based tart tin and chill for 20 mins. Bake blind 15 mins, remove the beans, 5 mins more.
Beat butter and sugar, then the eggs; fold in the almonds and flour. Spread in the case. Slice the pear halves and arrange on top. Bake 35-40 mins. Brush with the jam. Serve warm or cold.
""",
        (
            Told("0", "chill 20-20; bake 15-15; bake 5-5", "190"),
            Told("2 3 4 5 6 1 7", "bake 35-40", "190"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Subject: Fwd: Carrot cake recipe
From: J

> Hi! As promised. It's the one from the school fair.
>
> 300g SR flour
> 300g soft brown sugar
> 300ml sunflower oil
> 4 eggs
> 1tsp each cinnamon, mixed spice, bicarb
> 250g carrots grated
> 100g sultanas
>
> frosting - 200g philly type cheese, 50g butter, 100g icing sug
>
> whisk oil eggs sugar, dry in, carrots + sultanas in. 2x 20cm tins, 170 for 35-40. sandwich & top w frosting. 12-14 slices
""",
        (Told("2 3 1 0 4 5 6 7 8 9 10 11"),),
        "",
        "",
    ),
    MethodCase(
        """Gâteau au yaourt — pot yoghurt cake
(8 parts)

1 pot de yaourt nature / plain yoghurt (125 g) - the pot is the measure
2 pots sugar
3 pots flour
1/2 pot oil
3 eggs
1 sachet levure / baking powder (11 g)
1 sachet sucre vanillé (7,5 g)

Mélanger / mix in order. Round tin 22 cm. Four 180°C, 35 min.
""",
        (Told("0 1 2 3 4 5 6", "bake 35-35", "180"),),
        "",
        "",
    ),
    MethodCase(
        """Wholemeal Banana Bread, no added sugar
1 loaf - 10 thick slices

3 overripe bananas (350g peeled weight)
2 eggs
80ml rapeseed oil
80g natural yogurt
200g wholemeal flour
50g ground almonds
1½ tsp baking powder
½ tsp bicarb
2 tsp cinnamon
75g dates, finely chopped
50g walnuts

Oven 180C/160C fan. Line a 900g loaf tin.
Mash the bananas, whisk in eggs, oil and yogurt. Mix the dry ingredients, stir into the wet with dates and most of the walnuts. Into the tin, remaining walnuts on top. Bake 50-55 mins, cover with foil after 30. Cool 15 mins in the tin.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3 4 5 6 7 8 9 10", "bake 50-55; cool 15-15", "180"),
        ),
        "",
        "",
    ),
)

# Read once as they came out, and mended.
ELEVENTH: tuple[MethodCase, ...] = (
    MethodCase(
        """Maple Custard Pie

Crust
1 1/4 cups flour
1/2 tsp salt
1/2 cup cold butter
3-4 Tbsp ice water

Custard
4 eggs
1/2 cup maple syrup
2 cups half-and-half
1 tsp vanilla
1/4 tsp nutmeg

Makes one 9" pie (8 slices)

Cut butter into flour and salt; sprinkle in water until dough holds. Chill 1 hour. Roll, fit in pie plate, chill 20 min more. Blind bake at 400F 15 min; remove weights, bake 5 min.
Reduce oven to 325F. Whisk eggs and maple syrup, then half-and-half, vanilla, nutmeg. Pour into shell. Bake 40-45 min, center should jiggle. Cool 2 hours.
""",
        (
            Told("2 0 1 3", "chill 60-60; chill 20-20; bake 15-15; bake 5-5", "204"),
            Told("4 5 6 7 8", "bake 40-45; cool 120-120", "163"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Blueberry Buckle

Makes 9 squares

Crumb topping:
1/2 cup sugar
1/3 cup flour
1/2 tsp cinnamon
1/4 cup butter, softened

Batter:
3/4 cup sugar
1/4 cup butter, softened
1 egg
1/2 cup milk
2 cups flour
2 tsp baking powder
1/2 tsp salt
2 cups blueberries

Preheat oven to 375. Grease a 9-inch square pan. Cream sugar and butter for the batter; beat in egg and milk. Stir in flour, baking powder and salt. Fold in blueberries. Spread in pan.
Combine the topping ingredients with a fork until crumbly and sprinkle over the batter.
Bake 45-50 minutes. Serve warm.
""",
        (
            Told("4 5 6 7 8 9 10 11", "", "191"),
            Told("0 1 2 3"),
            Told("", "bake 45-50", "191"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Fruit Scones
Makes 10

450g self-raising flour
2 tsp baking powder
100g butter, cubed
75g caster sugar
100g sultanas
2 eggs, made up to 300ml with milk

Oven 220C/200C fan. Rub the butter into the flour and baking powder. Stir in sugar and sultanas. Add enough egg and milk to make a soft, slightly sticky dough, keeping a tablespoon back. Pat out to 3cm, cut with a 6cm cutter. Brush with the reserved egg and milk. Bake 12-15 minutes.
""",
        (Told("2 0 1 3 4 5 6", "bake 12-15", "220"),),
        "",
        "",
    ),
    MethodCase(
        """Tres Leches Cake
12 servings

Cake:
1 cup all-purpose flour
1 1/2 tsp baking powder
1/4 tsp salt
5 eggs, separated
1 cup sugar, divided
1/3 cup whole milk
1 tsp vanilla

Milk mixture:
1 can (12 oz) evaporated milk
1 can (14 oz) sweetened condensed milk
1/4 cup heavy cream

Topping:
1 pint heavy cream
3 Tbsp sugar

Preheat oven to 350°F. Grease a 9x13-inch pan.
Combine flour, baking powder and salt. Beat egg yolks with 3/4 cup sugar on high until pale. Stir in the milk and vanilla. Pour over the flour mixture and stir gently.
Beat egg whites to soft peaks, add the remaining 1/4 cup sugar and beat until stiff. Fold into the batter. Pour into the pan and bake 35 to 45 minutes. Turn out and cool.
Combine the milks and cream. Pierce the cake with a fork and slowly drizzle all but 1 cup of the milk mixture over. Let absorb 30 minutes.
Whip the cream with the sugar until thick, and ice the cake.
""",
        (
            Told("", "", "177"),
            Told("0 1 2 3:0.34 4:0.75 5 6"),
            Told("3:0.66 4:0.25", "bake 35-45", "177"),
            Told("7 8 9", "rest 30-30"),
            Told("10 11"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Poached Quinces
Serves 4

2 large quinces (about 800g)
150g sugar
700ml water
1 vanilla pod
1 strip lemon peel
Greek yoghurt to serve

Peel, quarter and core the quinces. Put the sugar, water, split vanilla pod and lemon peel in a wide pan and bring to a simmer. Add the quinces, cover with a disc of paper and simmer very gently for 2 hours until deep pink. Cool in the syrup. Serve with yoghurt.
""",
        (Told("0 1 2 3 4 5", "simmer 120-120"),),
        "",
        "",
    ),
    MethodCase(
        """Cornmeal Honey Cake
Yield: 1 9-inch round cake (10 slices)

1 cup (140 g) fine cornmeal
1 cup (125 g) flour
2 tsp baking powder
1/2 tsp salt
2 eggs
3/4 cup (180 ml) buttermilk
1/2 cup (170 g) honey
1/3 cup (75 g) sugar
1/2 cup (113 g) butter, melted

Syrup: 3 tbsp honey, 2 tbsp lemon juice

Heat oven to 350F. Butter a 9 inch round pan. Whisk dry ingredients. Whisk eggs, buttermilk, honey and sugar; add to dry, then stir in the butter. Bake 30-35 min. Warm the honey and lemon juice and brush over the hot cake. Cool in pan.
""",
        (Told("0 1 2 3 4 5 6 7 8 9 10", "bake 30-35", "177"),),
        "",
        "",
    ),
)

# Read once as they came out, and mended.
TWELFTH: tuple[MethodCase, ...] = (
    MethodCase(
        """Carrot and Orange Loaf
Serves 10

For the loaf
200g self-raising flour
150g soft brown sugar
1 tsp ground cinnamon
½ tsp bicarbonate of soda
2 eggs
125ml sunflower oil
grated zest of 1 orange
2 tbsp orange juice
150g carrots, coarsely grated
50g walnuts, chopped

For the icing
100g cream cheese
50g icing sugar
1 tsp orange juice

1. Preheat the oven to 180°C (fan 160°C). Grease and line a 900g loaf tin.
2. Mix the flour, sugar, cinnamon and bicarb in a bowl.
3. Whisk the eggs, oil, zest and juice together, then stir into the dry ingredients with the carrots and walnuts.
4. Pour into the tin and bake for 45-50 minutes until a skewer comes out clean. Cool in the tin for 10 minutes, then on a rack.
5. Beat the cream cheese with the icing sugar and orange juice and spread over the cold loaf.
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3"),
            Told("4 5 6 7 8 9"),
            Told("", "bake 45-50; cool 10-10", "180"),
            Told("10 11 12"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Pumpkin Pie

Pastry for a single 9-inch crust (about 250 g)
1 can (15 oz) pumpkin
3/4 cup sugar
1 tsp cinnamon
1/2 tsp ginger
1/4 tsp cloves
1/2 tsp salt
2 eggs
1 can (12 fl oz) evaporated milk

Servings: 8

Line pie dish with pastry. Mix sugar, salt and spices. Beat eggs, stir in pumpkin and the sugar-spice mixture. Gradually stir in evaporated milk. Pour into shell. Bake in preheated 425° F oven for 15 minutes. Reduce temperature to 350° F; bake 40 to 50 minutes or until knife inserted near center comes out clean. Cool 2 hours. Serve immediately or refrigerate.
""",
        (Told("0 2 6 3 4 5 7 1 8", "bake 15-15; bake 40-50; cool 120-120", "218 177"),),
        "",
        "",
    ),
    MethodCase(
        """Crème Caramel
Serves 6

For the caramel
100g caster sugar
2 tbsp water

For the custard
500ml whole milk
1 vanilla pod
4 eggs
50g caster sugar

Preheat the oven to 150°C.
To make the caramel, dissolve the sugar in the water over a low heat, then boil without stirring until dark amber. Pour into six ramekins.
Heat the milk with the split vanilla pod to just below boiling and leave to infuse for 15 minutes. Whisk the eggs with the sugar, pour on the warm milk and strain.
Pour the custard over the caramel. Stand the ramekins in a roasting tin, pour hot water half way up the sides, and bake for 30-35 minutes until just set. Cool, then chill overnight. Run a knife round and turn out.
""",
        (
            Told("", "", "150"),
            Told("0 1"),
            Told("2 3 4 5", "soak 15-15"),
            Told("", "bake 30-35; chill 480-720", "150"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Raspberry Jelly with Cream
Serves 4

300 g raspberries
75 g caster sugar
400 ml water
4 leaves gelatine
100 ml single cream, to serve

Soak the gelatine in cold water. Simmer raspberries, sugar and water for 5 minutes, press through a sieve. Squeeze the gelatine and stir it into the hot juice until dissolved. Pour into 4 glasses, cool, then chill for 4 hours. Pour a little cream on top to serve.
""",
        (Told("3 0 1 2 4", "simmer 5-5; chill 240-240"),),
        "",
        "",
    ),
    MethodCase(
        """BEST EVER vegan brownies!!!
by chocoholic_23  |  rated 4.9  |  saved 12k times
---
what u need 👇
✔️ 200g plain flour
✔️ 60g cocoa
✔️ 1 tsp bp + 1/4 tsp salt
✔️ 250g sugar (i use golden)
✔️ 100ml rapeseed oil
✔️ 250ml soy or oat milk
✔️ 1 tsp vanilla
✔️ 100g dark choc, chopped
how 👇
1️⃣ oven 180/160 fan, line 20cm sq tin
2️⃣ whisk dry, add wet, fold choc
3️⃣ 25 mins (dont overbake!!)
4️⃣ cool, cut into 16 🍫
""",
        (
            Told("", "", "180"),
            Told("0 1 2 3 4 5 6 7 8"),
            Told("", "bake 25-25", "180"),
            Told(),
        ),
        "",
        "",
    ),
)

# Read once as they came out, and mended.
THIRTEENTH: tuple[MethodCase, ...] = (
    MethodCase(
        """*** Ginger crunch ***

BASE                      TOPPING
150g butter               100g butter
75g sugar                 2 Tbsp golden syrup
200g flour                1 Tbsp ground ginger
1 tsp baking powder       200g icing sugar
1 tsp ground ginger

Cream butter & sugar, stir in sifted dry ingr. Press in a 20x30 tin, bake 190 for 15-20 min.
Topping: heat butter, syrup and ginger, stir in icing sugar. Pour over hot base. Cut in 24 before it sets.
""",
        (
            Told("0 1 2 3 4", "bake 15-20", "190"),
            Told("5 6 7 8"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Ingredients (6 people):
- Rhubarb, 500 grams
- Strawberries: 250 grams
- Sugar: 120 grams
- Egg whites: 3 pieces
- Sugar for the meringue: 150 grams
- Vanilla pod: 1/2 piece

Rhubarb meringue pots

Preparation:
1 - Stew the rhubarb with 120 grams sugar and the vanilla for 8 minutes, add the strawberries, divide over 6 ovenproof pots.
2 - Beat the egg whites stiff with the rest of the sugar, spoon on top.
3 - 15 minutes in the oven at 160 degrees.
""",
        (
            Told("0 2 5 1", "simmer 8-8"),
            Told("3 4"),
            Told("", "bake 15-15", "160"),
        ),
        "",
        "",
    ),
    MethodCase(
        """Ingredient	Metric	Cups
Plain flour	280 g	2 1/4 cups
Caster sugar	200 g	1 cup
Baking powder	2 tsp	2 tsp
Cocoa	50 g	1/2 cup
Milk	250 ml	1 cup
Oil	125 ml	1/2 cup
Eggs	2	2
Chocolate chips	150 g	1 cup

Double chocolate muffins
Makes 12
Oven 190°C, 20 minutes

Whisk the dry things, whisk the wet things, combine with the chips until only just mixed. Spoon into 12 paper cases and bake.
""",
        (
            Told("", "", "190"),
            Told("0 1 2 3 4 5 6 7", "bake 20-20", "190"),
        ),
        "",
        "",
    ),
)

# Read once as they came out, and mended.
FOURTEENTH: tuple[MethodCase, ...] = (
    MethodCase(
        """PEACH MELBA TRIFLE (serves 8)

For the custard
600ml whole milk
1 vanilla pod
6 egg yolks
75g caster sugar
2 tbsp cornflour

For the rest
1 packet (8) trifle sponges
4 tbsp raspberry jam
5 tbsp sweet sherry
6 ripe peaches, skinned and sliced
300g raspberries
400ml double cream
2 tbsp icing sugar
25g toasted flaked almonds

Split the sponges, sandwich with the jam and lay in the base of a large glass bowl. Sprinkle with the sherry.
Arrange the peaches and raspberries over the top.
Heat the milk with the split vanilla pod until nearly boiling. Whisk the yolks, sugar and cornflour, pour the hot milk on, return to the pan and stir over a low heat for about 8 minutes until thick. Cool for 20 minutes, then pour over the fruit and chill for at least 4 hours.
Whip the cream with the icing sugar to soft peaks, spoon on top and scatter with almonds.
""",
        (
            Told("5 6 7"),
            Told("8 9"),
            Told("0 1 2 3 4", "cool 20-20; chill 240-240"),
            Told("10 11 12"),
        ),
        "1<2",
        "",
    ),
    MethodCase(
        """Coconut Ice Cream without a machine - 1 litre, serves 8
1 x 400 ml tin coconut milk
300 ml double cream
120 g caster sugar
4 egg yolks
50 g desiccated coconut, toasted
zest of 1 lime

Bring the coconut milk and cream just to the boil. Whisk the yolks with the sugar until pale, pour on the hot milk, whisking. Cook over a gentle heat until it coats the spoon (82°C). Cool over ice, stir in the coconut and zest. Freeze in a tub, beating with a fork every hour for 4 hours.
""",
        (Told("0 1 3 2 4 5", "freeze 240-240", "~82"),),
        "",
        "",
    ),
    MethodCase(
        """Blackberry and Apple Pie

Serves 6-8

Pastry:
300g plain flour
150g cold butter, cubed
50g caster sugar
1 egg
1-2 tbsp cold water

Filling:
700g Bramley apples, peeled and sliced
250g blackberries
125g caster sugar
1 tbsp cornflour
1/2 tsp cinnamon
milk and 1 tbsp demerara sugar, to glaze

Rub the butter into the flour, stir in the sugar, bind with the egg and water. Chill 30 minutes.
Toss the apples and blackberries with the sugar, cornflour and cinnamon.
Roll out two thirds of the pastry and line a 23cm pie dish. Fill with the fruit. Cover with the remaining pastry, crimp, brush with milk and sprinkle with the demerara.
Bake at 200°C (fan 180°C) for 20 minutes, then reduce to 180°C (160 fan) for a further 25-30 minutes.
""",
        (
            Told("1 0 2 3 4", "chill 30-30"),
            Told("5 6 7 8 9"),
            Told("10 11"),
            Told("", "bake 20-20; bake 25-30", "200 180"),
        ),
        "1<3 2<3 3<4",
        "",
    ),
    MethodCase(
        """Dairy-free Lemon Curd Cupcakes, makes 12

150 g dairy-free spread
150 g caster sugar
3 eggs
150 g self-raising flour
zest of 2 lemons
1 tbsp lemon juice
To fill: 100 g lemon curd
Icing: 100 g dairy-free spread, 200 g icing sugar, 1 tbsp lemon juice

Heat the oven to 180C. Cream the spread and sugar, beat in the eggs, fold in the flour, zest and juice. Divide between 12 cases and bake for 18-20 minutes. Cool.
Cut a hole in each and fill with a teaspoon of the curd.
Beat the icing ingredients together and pipe on top.
""",
        (
            Told("0 1 2 3 4 5", "bake 18-20", "180"),
            Told("6"),
            Told("7 8 9"),
        ),
        "1<2 2<3",
        "",
    ),
)
ALL = (
    *FIRST,
    *SECOND,
    *THIRD,
    *FOURTH,
    *FIFTH,
    *SIXTH,
    *SEVENTH,
    *EIGHTH,
    *NINTH,
    *TENTH,
    *ELEVENTH,
    *TWELFTH,
    *THIRTEENTH,
    *FOURTEENTH,
)
