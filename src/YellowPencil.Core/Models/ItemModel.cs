using YellowPencil.Core.Notation;
using YellowPencil.Core.Working;

namespace YellowPencil.Core.Models;

/// <summary>
/// What the amounts do while an item is worked, beside what is written: counters on a place-value mat, an area cut by places, multiples on a ladder, a number
/// line. Amounts follow what is true of the numbers; where what is written says otherwise, the model says so.
/// </summary>
public abstract record ItemModel
{
    /// <summary>What the model is called.</summary>
    public abstract string Name { get; }

    /// <summary>What is to be seen, in sentences; for those who cannot see the picture, too.</summary>
    public abstract string Text { get; }

    /// <summary>Where what is written and the amounts disagree, in a sentence; empty where they agree so far.</summary>
    public abstract string Disagreement { get; }

    /// <summary>The model of an item after so much was written.</summary>
    /// <param name="task">The task.</param>
    /// <param name="marks">The marks on the page so far.</param>
    /// <param name="answer">The answer, once it stands as a whole; null before.</param>
    /// <returns>The model; null where the family has none, or the numbers are too long for one.</returns>
    public static ItemModel? At(ItemTask task, IReadOnlyList<Mark> marks, string? answer) => task switch
    {
        ColumnSum sum => PlaceValueMat.OfSum(sum.Numbers, marks),
        ColumnDifference difference => PlaceValueMat.OfDifference(difference.Numbers[0], difference.Numbers[1], marks),
        DecimalSum { IsDifference: true, IsNegative: false } difference => PlaceValueMat.OfDifference(difference.Numbers[0], difference.Numbers[1], marks),
        DecimalSum { IsDifference: false } sum => PlaceValueMat.OfSum(sum.Numbers, marks),
        ColumnProduct product => AreaModel.Of(product.Numbers[0], product.Numbers[1], marks, answer),
        DecimalProduct product => AreaModel.Of(product.First, product.Second, marks, answer),
        LongDivision division => MultiplesLadder.Of(division.Dividend.Text, division.Divisor.Value, marks),
        DecimalQuotient quotient => MultiplesLadder.Of(quotient, marks),
        SignedPair pair => NumberLine.Of(pair, answer),
        _ => null,
    };
}
