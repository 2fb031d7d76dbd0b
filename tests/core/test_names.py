"""Foods by the names they go by in four countries, and names that must not be mixed up."""

from __future__ import annotations

import unittest

from sun_crumb.core.pantry import shipped_pantry
from sun_crumb.core.pantry.names import words_of
from sun_crumb.core.reading.match import SURE, is_sure, name_index

# Common practice, no published source: what bakers of each country call it.
BY_COUNTRY = {
    "plain_flour": ("all-purpose flour", "plain flour", "maida", "AP flour", "white flour"),
    "wholemeal_flour": ("whole wheat flour", "wholemeal flour", "atta"),
    "self_raising_flour": ("self-rising flour", "self-raising flour"),
    "cornflour": ("cornstarch", "cornflour", "corn starch"),
    "semolina": ("semolina", "sooji", "suji", "rava"),
    "chickpea_flour": ("chickpea flour", "besan", "gram flour"),
    "rolled_oats": ("old-fashioned oats", "porridge oats", "rolled oats", "quick oats"),
    "caster_sugar": ("superfine sugar", "caster sugar", "castor sugar"),
    "icing_sugar": ("confectioners' sugar", "icing sugar", "powdered sugar"),
    "light_brown_sugar": ("light brown sugar", "soft light brown sugar", "brown sugar"),
    "dark_brown_sugar": ("dark brown sugar", "dark muscovado sugar", "muscovado"),
    "demerara_sugar": ("turbinado sugar", "demerara sugar", "raw sugar"),
    "molasses": ("molasses", "black treacle", "treacle"),
    "golden_syrup": ("golden syrup", "light treacle"),
    "jaggery": ("jaggery", "gur", "panela"),
    "maple_syrup": ("pure maple syrup", "maple syrup"),
    "baking_soda": ("baking soda", "bicarbonate of soda", "bicarb soda", "bicarb", "meetha soda"),
    "yoghurt": ("plain yogurt", "natural yoghurt", "dahi", "curd"),
    "greek_yoghurt": ("Greek yogurt", "strained yoghurt", "hung curd"),
    "double_cream": ("heavy cream", "double cream", "thickened cream", "whipping cream"),
    "single_cream": ("half-and-half", "single cream", "light cream"),
    "sour_cream": ("sour cream", "soured cream"),
    "creme_fraiche": ("crème fraîche", "creme fraiche"),
    "milk_powder": ("nonfat dry milk", "milk powder", "dried skimmed milk"),
    "khoya": ("khoya", "mawa"),
    "paneer": ("paneer",),
    "ghee": ("ghee", "clarified butter"),
    "neutral_oil": ("canola oil", "sunflower oil", "rapeseed oil", "vegetable oil"),
    "courgette": ("zucchini", "courgette"),
    "beetroot": ("beet", "beetroot"),
    "raisin": ("raisins", "sultanas", "kishmish"),
    "coconut_desiccated": ("desiccated coconut", "unsweetened shredded coconut"),
    "digestive_biscuit": ("graham crackers", "digestive biscuits", "marie biscuits"),
    "sponge_fingers": ("ladyfingers", "savoiardi", "sponge fingers"),
    "cardamom": ("ground cardamom", "elaichi powder"),
    "cashews": ("cashews", "kaju"),
    "almonds": ("almonds", "badam", "slivered almonds"),
    "almond_flour": ("almond flour", "ground almonds", "almond meal"),
    "medjool_date": ("medjool dates", "pitted dates", "khajoor"),
    "chocolate_chips": ("semi-sweet chocolate chips", "chocolate chips", "choc chips"),
    "erythritol": ("erythritol", "granulated erythritol"),
    "psyllium_husk": ("psyllium husk", "isabgol"),
    "ground_flax": ("ground flaxseed", "linseed", "alsi"),
    "gelatine": ("unflavored gelatin", "gelatine", "powdered gelatine"),
    "egg_white": ("egg whites",),
}
# Each pair shares words and must stay apart.
APART = (
    ("coconut flour", "coconut_flour"), ("coconut sugar", "coconut_sugar"), ("coconut oil", "coconut_oil"), ("coconut water", "coconut_water"),
    ("almond butter", "almond_butter"), ("almond extract", "almond_extract"), ("almond milk", "almond_milk"), ("peanut butter", "peanut_butter"),
    ("butter", "butter"), ("buttermilk", "buttermilk"), ("butternut squash", "butternut_squash"), ("apple juice", "apple_juice"),
    ("apple butter", "apple_butter"), ("applesauce", "applesauce"), ("apple cider vinegar", "cider_vinegar"), ("maple sugar", "maple_sugar"),
    ("date sugar", "date_sugar"), ("date syrup", "date_syrup"), ("date paste", "date_paste"), ("rice flour", "rice_flour"),
    ("brown rice syrup", "brown_rice_syrup"), ("rice milk", "rice_milk"), ("oat milk", "oat_milk"), ("oat flour", "oat_flour"),
    ("oat bran", "oat_bran"), ("cocoa butter", "cocoa_butter"), ("cocoa powder", "cocoa"), ("baking powder", "baking_powder"),
    ("baking soda", "baking_soda"), ("cream cheese", "cream_cheese"), ("cream of tartar", "cream_of_tartar"), ("sour cherry", "sour_cherry"),
    ("lemon zest", "lemon_zest"), ("lemon juice", "lemon_juice"), ("lemon curd", "lemon_curd"), ("orange juice", "orange_juice"),
    ("banana powder", "banana_powder"), ("potato starch", "potato_starch"), ("sweet potato", "sweet_potato"), ("condensed milk", "condensed_milk"),
    ("evaporated milk", "evaporated_milk"), ("milk chocolate", "milk_chocolate"), ("white chocolate chips", "white_chocolate"),
    ("sugar-free chocolate chips", "sugar_free_chips"), ("dried cranberries", "dried_cranberry"), ("cranberries", "cranberry"),
    ("dried figs", "dried_fig"), ("fresh figs", "fig_fresh"), ("ground ginger", "ginger_ground"), ("fresh ginger", "ginger_fresh"),
    ("stevia blend", "stevia_erythritol"), ("stevia extract", "stevia_extract"), ("glucose syrup", "corn_syrup"), ("glucose", "glucose_powder"),
)  # fmt: skip
SLIPS = {
    "suger": "white_sugar", "flouer": "plain_flour", "bannana": "banana", "vannila extract": "vanilla", "cinammon": "cinnamon",
    "choclate chips": "chocolate_chips", "buttr": "butter", "yoghrt": "yoghurt", "walnutts": "walnuts", "rasberries": "raspberry",
    "maple sirup": "maple_syrup", "almod flour": "almond_flour", "baking powdr": "baking_powder", "marscapone": "mascarpone",
}  # fmt: skip


# What a reader that corrects every word takes those for.
NEIGHBOURS = {
    "chickpeas",
    "millet",
    "vermicelli",
    "butter",
    "pistachios",
    "sweet_wine",
    "apricot",
    "crackers",
    "wheat_bran",
}


class Names(unittest.TestCase):
    def setUp(self) -> None:
        self.index = name_index(shipped_pantry())

    def test_each_country_finds_its_food(self) -> None:
        for key, names in BY_COUNTRY.items():
            for name in names:
                found = self.index.match(name)
                with self.subTest(name):
                    self.assertEqual(found[0].ingredient if found else None, key)
                    self.assertTrue(is_sure(found), found[:2])

    def test_foods_that_share_words_stay_apart(self) -> None:
        for name, key in APART:
            found = self.index.match(name)
            with self.subTest(name):
                self.assertEqual((found[0].ingredient, is_sure(found)), (key, True), found[:3])

    def test_slips_of_the_finger_are_read_or_asked_never_mistaken(self) -> None:
        right = 0
        for name, key in SLIPS.items():
            found = self.index.match(name)
            with self.subTest(name):
                self.assertTrue(found)
                if is_sure(found):
                    self.assertEqual(found[0].ingredient, key)
                right += found[0].ingredient == key
        self.assertGreaterEqual(right, len(SLIPS) - 2)

    def test_words_of_their_own_are_no_slips(self) -> None:
        """Words of the kitchen that lie one or two letters from a food's name."""
        for name in (
            "chicken",
            "millet fillet",
            "passata",
            "batter",
            "pita",
            "masala",
            "macaroons",
            "haricot beans",
            "sardines",
            "bran flakes and brain",
        ):
            found = [c for c in self.index.match(name) if is_sure([c])]
            with self.subTest(name):
                self.assertFalse([c.ingredient for c in found if c.ingredient in NEIGHBOURS], found)

    def test_what_is_free_of_something_or_leaner_is_another_food(self) -> None:
        for name, sure in (
            ("fat free whipped topping", False),
            ("half fat butter", False),
            ("salt free crackers", False),
            ("chocolate milk", True),
            ("pineapple in its own juice", True),
            ("orange juice from concentrate", True),
            ("vanilla frosting", True),
            ("coffee frosting", False),
            ("nonfat dry milk", True),
        ):
            found = self.index.match(name)
            with self.subTest(name):
                self.assertEqual(is_sure(found), sure, found[:2])
        self.assertEqual(self.index.match("chocolate milk")[0].ingredient, "chocolate_milk")
        self.assertEqual(self.index.match("milk chocolate")[0].ingredient, "milk_chocolate")
        self.assertEqual(self.index.match("nonfat dry milk")[0].ingredient, "milk_powder")

    def test_a_changing_word_left_over_makes_it_unsure(self) -> None:
        for name in (
            "honey mustard powder",
            "sugar snap peas",
            "butter beans",
            "egg noodles mix",
            "milk tart",
            "cocoa wax bars",
            "date bread",
        ):
            found = self.index.match(name)
            with self.subTest(name):
                self.assertFalse(is_sure(found), found[:2])

    def test_neutral_words_change_nothing(self) -> None:
        for name in (
            "organic unbleached all-purpose flour",
            "fresh large free-range eggs",
            "good quality extra dark 70% dark chocolate",
            "cold unsalted butter",
        ):
            found = self.index.match(name)
            with self.subTest(name):
                self.assertGreaterEqual(found[0].confidence, SURE, found[:2])

    def test_every_name_in_the_pantry_finds_its_own_food(self) -> None:
        ambiguous = set(self.index.ambiguous)
        missed = []
        for key, name in shipped_pantry().names:
            if tuple(words_of(name)) in ambiguous:
                continue
            found = self.index.match(name)
            if not found or found[0].ingredient != key:
                missed.append((name, key, found[:1]))
        self.assertLessEqual(len(missed), 12, missed)
