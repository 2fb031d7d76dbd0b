"""What the writer of recipes writes of: foods with their weights (from memory, common practice), made-up desserts, numbers in words."""

from __future__ import annotations

# pantry key: (names, grams of a US cup or None, grams of a tablespoon or None, grams of one piece or None with its words)
FOODS: dict[str, tuple[tuple[str, ...], float | None, float | None, tuple[float, str, str] | None]] = {
    "plain_flour": (("plain flour", "all-purpose flour", "AP flour"), 125, 8, None),
    "wholemeal_flour": (("wholemeal flour", "whole wheat flour"), 120, 7.5, None),
    "almond_flour": (("ground almonds", "almond flour"), 98, 6, None),
    "cornflour": (("cornflour", "cornstarch"), 125, 8, None),
    "rolled_oats": (("rolled oats", "old-fashioned oats"), 92, 6, None),
    "white_sugar": (("granulated sugar", "sugar", "white sugar"), 200, 12.5, None),
    "caster_sugar": (("caster sugar", "superfine sugar"), 200, 12.5, None),
    "light_brown_sugar": (("light brown sugar", "soft light brown sugar"), 200, 12.5, None),
    "icing_sugar": (("icing sugar", "powdered sugar", "confectioners' sugar"), 120, 7.5, None),
    "honey": (("honey", "runny honey"), 340, 21, None),
    "maple_syrup": (("maple syrup", "pure maple syrup"), 315, 20, None),
    "butter": (("butter", "unsalted butter", "butter, softened", "butter, melted"), 227, 14.2, None),
    "neutral_oil": (("sunflower oil", "vegetable oil"), 218, 13.6, None),
    "milk": (("milk", "whole milk"), 244, 15.2, None),
    "buttermilk": (("buttermilk",), 245, 15.3, None),
    "yoghurt": (("plain yoghurt", "natural yogurt"), 245, 15.3, None),
    "double_cream": (("double cream", "heavy cream"), 238, 15, None),
    "cream_cheese": (("cream cheese",), 232, 14.5, None),
    "egg": (("eggs",), None, None, (50, "egg", "eggs")),
    "cocoa": (("cocoa powder", "unsweetened cocoa"), 85, 5.4, None),
    "dark_chocolate_70": (("dark chocolate, chopped", "70% dark chocolate"), 165, None, None),
    "chocolate_chips": (("chocolate chips", "semisweet chocolate chips"), 170, 10.6, None),
    "walnuts": (("walnuts", "walnuts, chopped"), 110, 7, None),
    "raisin": (("raisins",), 150, 9.5, None),
    "banana": (("bananas", "ripe bananas"), None, None, (115, "ripe banana", "ripe bananas")),
    "apple": (("apples",), None, None, (150, "apple", "apples")),
    "carrot": (("carrots, grated", "grated carrot"), 110, None, None),
    "blueberry": (("blueberries",), 148, 9, None),
    "lemon_zest": (("lemon zest",), None, 6, None),
    "vanilla": (("vanilla extract", "vanilla"), None, 13, None),
    "cinnamon": (("ground cinnamon", "cinnamon"), None, 7.8, None),
    "baking_powder": (("baking powder",), None, 13.8, None),
    "baking_soda": (("baking soda", "bicarbonate of soda"), None, 13.8, None),
    "salt": (("salt", "fine salt"), None, 18, None),
}
SMALL = ("vanilla", "cinnamon", "baking_powder", "baking_soda", "salt", "lemon_zest")
DESSERTS: tuple[tuple[str, str, str, dict[str, tuple[str, ...]]], ...] = (
    ("Walnut coffee-time cake", "slice", "cake", {"": ("plain_flour", "caster_sugar", "butter", "egg", "milk", "walnuts", "baking_powder", "vanilla")}),
    ("Porridge oat biscuits", "biscuit", "", {"": ("rolled_oats", "wholemeal_flour", "light_brown_sugar", "butter", "honey", "baking_soda")}),
    ("Cocoa squares", "square", "tray", {"": ("dark_chocolate_70", "butter", "light_brown_sugar", "egg", "plain_flour", "cocoa", "salt")}),
    ("Blueberry breakfast muffins", "muffin", "", {"": ("plain_flour", "white_sugar", "buttermilk", "neutral_oil", "egg", "blueberry", "baking_powder", "lemon_zest")}),
    ("Garden carrot loaf", "slice", "loaf", {"": ("wholemeal_flour", "light_brown_sugar", "neutral_oil", "egg", "carrot", "raisin", "cinnamon", "baking_soda"), "icing": ("cream_cheese", "icing_sugar", "vanilla")}),
    ("Banana tea bread", "slice", "loaf", {"": ("plain_flour", "banana", "white_sugar", "butter", "egg", "walnuts", "baking_soda", "salt")}),
    ("Almond orchard tart", "wedge", "tart", {"pastry": ("plain_flour", "butter", "icing_sugar", "egg"), "filling": ("almond_flour", "caster_sugar", "butter", "egg", "apple")}),
    ("Chip cookies of the harbour", "cookie", "", {"": ("plain_flour", "light_brown_sugar", "white_sugar", "butter", "egg", "chocolate_chips", "vanilla", "baking_soda", "salt")}),
    ("Set cream of summer", "glass", "", {"": ("double_cream", "milk", "caster_sugar", "vanilla", "yoghurt")}),
    ("Maple oat bars", "bar", "tin", {"": ("rolled_oats", "maple_syrup", "butter", "raisin", "cinnamon", "salt"), "topping": ("dark_chocolate_70", "double_cream")}),
)  # fmt: skip
PLURAL = {"glass": "glasses", "loaf": "loaves"}
WORDS = [
    "zero",
    "one",
    "two",
    "three",
    "four",
    "five",
    "six",
    "seven",
    "eight",
    "nine",
    "ten",
    "eleven",
    "twelve",
    "thirteen",
    "fourteen",
    "fifteen",
    "sixteen",
]
GLYPHS = {0.25: "¼", 0.5: "½", 0.75: "¾", 1 / 3: "⅓", 2 / 3: "⅔", 0.125: "⅛"}
SLASHES = {0.25: "1/4", 0.5: "1/2", 0.75: "3/4", 1 / 3: "1/3", 2 / 3: "2/3", 0.125: "1/8"}
