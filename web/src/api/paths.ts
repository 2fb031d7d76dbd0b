/** Where the API keeps a version of a recipe. */
export function versionAt(
  recipe: number,
  version: number,
): { params: { path: { recipe_id: number; version_id: number } } } {
  return { params: { path: { recipe_id: recipe, version_id: version } } }
}
