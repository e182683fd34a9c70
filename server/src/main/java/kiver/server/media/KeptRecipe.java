package kiver.server.media;

import kiver.core.media.Recipe;

/**
 * A recipe of the nursery.
 *
 * @param recipe what it says
 * @param document as it is kept
 * @param usual whether mix for its use is made by it unless said otherwise
 * @param retired whether it is not offered any more; what was made by it keeps its name
 * @param version counts its changes
 */
public record KeptRecipe(Recipe recipe, RecipeDocument document, boolean usual, boolean retired, int version) {}
