"""Saved pages: what is found in ordinary ones, and that none keeps the program busy."""

from __future__ import annotations

import json
import subprocess
import sys
import unittest

from recipe_scrapers import scrape_html

from sun_crumb.formats.incoming import UnreadableFileError, read_file

RECIPE = {
    "@context": "https://schema.org",
    "@type": "Recipe",
    "name": "Pear &amp; oat bars",
    "author": {"@type": "Person", "name": "Nobody"},
    "recipeYield": ["12", "12 bars"],
    "recipeIngredient": ["1 cup rolled oats", "2 ripe pears", "½ cup butter,&nbsp;soft"],
    "recipeInstructions": [
        {
            "@type": "HowToSection",
            "name": "Base",
            "itemListElement": [{"@type": "HowToStep", "text": "Melt the <b>butter</b>."}],
        },
        {"@type": "HowToStep", "text": "Bake for 25 minutes."},
    ],
}
MICRODATA = """<html><body><article itemscope itemtype="http://schema.org/Recipe"><h1 itemprop="name">Fig rolls</h1>
<span itemprop="author" itemscope itemtype="http://schema.org/Person"><b itemprop="name">Nobody</b></span>
<meta itemprop="recipeYield" content="16 rolls"><ul><li itemprop="recipeIngredient">200 g figs
<li itemprop="recipeIngredient">1 <b>cup</b> flour</li></ul><ol itemprop="recipeInstructions"><li>Roll.</li><li>Bake.</li></ol></article>
<p itemprop="recipeIngredient">not of this recipe</p></body></html>"""
# Each of these kept some reader of pages busy for minutes.
HOSTILE = {
    "comments": "'<!--' * 200_000 + '<html>'",
    "declarations": "'<!' * 400_000",
    "attributes": "'<div ' + ' '.join(f'a{i}=1' for i in range(60_000)) + '>'",
    "attributes without an end": "'<div ' + 'a ' * 400_000",
    "quotes without an end": "'<a b=' + chr(34) * 1 + 'x' * 800_000",
    "tags without an end": "'<a ' * 250_000",
    "depth": "'<div>' * 170_000",
    "instructions": "'<?' * 400_000",
    "marked sections": "'<![CDATA[' * 90_000",
    "angles": "'<' * 800_000",
    "ampersands": "'<p>' + '&a' * 400_000",
    "scripts": "'<script type=application/ld+json>' * 25_000",
    "slashes": "'<a' + '/' * 800_000",
    "spaces": "'<a' + ' ' * 800_000",
    "equals": "'<a ' + 'b=' * 400_000",
    "deep JSON": "'{' + chr(34) + 'a' + chr(34) + ':' + '[' * 400_000",
    "deep data": "'<script type=application/ld+json>' + '[' * 100_000 + '</script>'",
    "graphs": "'<script type=application/ld+json>' + str([{'@graph': [0] * 600}] * 450).replace(chr(39), chr(34)) + '</script>'",
    "fields": "'<p itemscope itemtype=schema.org/Recipe>' + '<b itemprop=recipeIngredient>' * 25_000",
    "lone returns in a table": "'name,grams' + chr(13) + 'a,1' + chr(13) * 400_000",
    "a field without an end": "'name,grams' + chr(10) + chr(34) + 'x' * 800_000",
    "delimiters": "'name' + ',' * 800_000",
    "rows": "'name,grams' + (chr(10) + 'a,1') * 180_000",
    "a number": "'{' + chr(34) + 'a' + chr(34) + ':' + '9' * 800_000 + '}'",
}


def page_of(data: object) -> str:
    """Return a page with *data* as its JSON-LD."""
    return f'<!doctype html><html><head><script type="application/ld+json">{json.dumps(data)}</script></head></html>'


class Pages(unittest.TestCase):
    def test_json_ld_however_it_is_wrapped(self) -> None:
        wanted = read_file("x.html", page_of(RECIPE)).text
        self.assertEqual(
            wanted.split("\n"),
            ["Pear & oat bars", "Makes 12 bars", "", "1 cup rolled oats", "2 ripe pears", "½ cup butter, soft", "", "Method",
             "Melt the butter.", "Bake for 25 minutes."],
        )  # fmt: skip
        for data in ([RECIPE], {"@graph": [{"@type": "WebPage"}, RECIPE]}, {"@type": "WebPage", "mainEntity": RECIPE},
                     RECIPE | {"@type": ["Thing", "Recipe"]}):  # fmt: skip
            self.assertEqual(read_file("x.html", page_of(data)).text, wanted)
            self.assertEqual(read_file("x.jsonld", json.dumps(data)).text, wanted)
        broken = page_of(RECIPE).replace(
            '<script type="app', '<script type="application/ld+json">{"@type": </script><script type="app'
        )
        self.assertEqual(read_file("x.html", broken).text, wanted)
        commented = page_of(RECIPE).replace('+json">', '+json"><!--').replace("</script>", "--></script>")
        self.assertEqual(read_file("x.html", commented).text, wanted)

    def test_shapes_that_writers_of_pages_use(self) -> None:
        for change, line in (
            ({"recipeYield": 8}, "Makes 8"),
            ({"recipeYield": "Serves 8"}, "Serves 8"),
            ({"recipeInstructions": "Stir.<br>Bake."}, "Bake."),
            ({"recipeInstructions": "<ol><li>Stir.</li><li>Bake.</li></ol>"}, "Stir."),
            ({"recipeIngredient": "1 cup oats\n2 pears"}, "2 pears"),
            ({"recipeIngredient": [{"@type": "PropertyValue", "name": "3 figs"}]}, "3 figs"),
            ({"recipeIngredient": None, "ingredients": ["4 figs"]}, "4 figs"),
            ({"name": ["Fig cake", "x"]}, "Fig cake"),
        ):
            with self.subTest(change):
                self.assertIn(line, read_file("x.html", page_of(RECIPE | change)).text.split("\n"))

    def test_microdata_where_there_is_no_json_ld(self) -> None:
        lines = read_file("x.html", MICRODATA).text.split("\n")
        self.assertEqual(
            lines, ["Fig rolls", "Makes 16 rolls", "", "200 g figs", "1 cup flour", "", "Method", "Roll.", "Bake."]
        )

    def test_the_same_is_found_as_by_a_library_for_recipes(self) -> None:
        """recipe-scrapers, a general reader of schema.org recipes, on the same page."""
        for page in (
            page_of(RECIPE),
            page_of({"@context": "https://schema.org", "@graph": [RECIPE]}),
            MICRODATA.replace("<li itemprop", "</li><li itemprop"),
        ):
            other = scrape_html(page, org_url="https://saved.invalid/page", supported_only=False)
            text = read_file("x.html", page).text
            self.assertEqual(text.split("\n")[0], other.title())
            for ingredient in other.ingredients():
                self.assertIn(" ".join(ingredient.split()), text)

    def test_a_page_without_a_recipe_says_what_to_do(self) -> None:
        for page in ("<p>hello</p>", page_of({"@type": "Recipe", "name": "x"}), page_of([]), "<", "<!--"):
            with self.subTest(page), self.assertRaises(UnreadableFileError) as caught:
                read_file("x.html", page)
            self.assertEqual(caught.exception.field, "content")

    def test_a_page_that_marks_no_recipe_is_read_as_it_is_seen(self) -> None:
        page = """<html><head><title>Home</title><style>p{}</style></head><body><nav><a href="#">Shop 50 % off</a></nav><main>
        <h1>Rice pudding</h1><p>Serves <b>4</b> &middot; 45&nbsp;minutes</p><h2>You&#8217;ll need</h2><ul><li>120 g
        pudding rice<li>400&nbsp;ml <i>whole</i> milk</ul><table><tr><td>60 g</td><td>sugar</td></tr></table><ol><li>Simmer.</li><li>Eat.</li></ol>
        <script>var n = 9;</script></main><footer>&copy; 2024</footer></body></html>"""
        wanted = ["Rice pudding", "Serves 4 · 45 minutes", "You’ll need", "120 g pudding rice", "400 ml whole milk"]
        lines = [line for line in read_file("x.html", page).text.split("\n") if line]
        self.assertEqual(lines, [*wanted, "60 g\tsugar", "1. Simmer.", "2. Eat."])
        # An element without its end hides nothing behind the one around it.
        self.assertIn("3 figs", read_file("x.html", "<div><button>Save<p></div><p>Figs</p><p>3 figs</p>").text)

    def test_a_heavy_ordinary_page_is_read(self) -> None:
        filling = "".join(
            f'<div class="c{i}"><p data-x="{i}">Some words &amp; more <a href="#">here</a>.</p></div>'
            for i in range(9000)
        )
        page = page_of(RECIPE).replace(
            "</html>", f"<body>{filling}<img src='data:image/png;base64,{'A' * 60_000}'></body></html>"
        )
        self.assertGreater(len(page), 700_000)
        self.assertIn("2 ripe pears", read_file("x.html", page).text)

    def test_hostile_files_are_given_up(self) -> None:
        """In a process of its own: a reader that hangs is ended, and named."""
        for name, content in HOSTILE.items():
            ending = (
                "csv" if name in ("lone returns in a table", "a field without an end", "delimiters", "rows") else "html"
            )
            # Within a marked Recipe too: elsewhere a page is not read at all.
            mark = (
                "" if ending == "csv" or "'{'" in content[:4] else "'<p itemscope itemtype=https://schema.org/Recipe>'"
            )
            whole = f"({mark or repr('')} + {content})[:899_000]"
            code = (
                "from sun_crumb.formats.incoming import UnreadableFileError, read_file\n"
                f"for content in ({content}, {whole}):\n"
                f"    try: print(len(read_file('x.{ending}', content).text))\n"
                "    except UnreadableFileError as error: print('refused', error.message[:60])"
            )
            with self.subTest(name):
                done = subprocess.run(
                    [sys.executable, "-c", code], capture_output=True, text=True, timeout=40, check=False
                )
                self.assertEqual((done.returncode, done.stderr), (0, ""))
