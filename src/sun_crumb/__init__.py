"""Sun Crumb: cut the sugar of a dessert, keep its balance, know what was saved."""
