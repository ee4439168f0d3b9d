using System.Globalization;
using Fluid;
using Fluid.Values;
using Ingegno.Core.Foundation.Reasons;
using Unit = Ingegno.Core.Foundation.Reasons.Unit;

namespace Ingegno.Language;

/// <summary>What templates can do with facts: figures with their units, counted things, lists, the first letter.</summary>
internal static class FactFilters
{
    public static TemplateOptions For(MessageFile file, Func<Reason, string> say)
    {
        var options = new TemplateOptions { CultureInfo = CultureInfo.InvariantCulture };
        options.Filters.AddFilter(
            "count",
            (input, arguments, _) => Count(input, arguments.At(0).ToStringValue(), arguments.At(1).ToStringValue())
        );
        options.Filters.AddFilter("list", (input, _, _) => List(input, file.ListAnd));
        options.Filters.AddFilter("sentence", (input, _, _) => Text(First(input.ToStringValue(), char.ToUpperInvariant)));
        options.Filters.AddFilter("inside", (input, _, _) => Text(First(input.ToStringValue(), char.ToLowerInvariant)));
        options.ValueConverters.Add(value => value is Term term ? new StringValue(file.Word(term.Of, term.Word)) : null);
        options.ValueConverters.Add(value => value is Reason reason ? new StringValue(say(reason)) : null);
        return options;
    }

    public static FluidValue ToFluid(object value, TemplateOptions options, Func<Reason, string> say) =>
        value switch
        {
            string name => new StringValue(name, false),
            double number => NumberValue.Create((decimal)number),
            bool yes => BooleanValue.Create(yes),
            Quantity quantity => new StringValue(InWords(quantity), false),
            Reason reason => new StringValue(say(reason), false),
            FactList list => list.Items.IsEmpty ? NilValue.Instance : new ArrayValue([.. list.Items.Select(i => ToFluid(i, options, say))]),
            _ => FluidValue.Create(value, options),
        };

    /// <summary>"3 sets": both forms stand in the words, for they are the language's.</summary>
    private static ValueTask<FluidValue> Count(FluidValue number, string one, string many)
    {
        var count = (long)number.ToNumberValue();
        return Text($"{count.ToString(CultureInfo.InvariantCulture)} {(count is 1 or -1 ? one : many)}");
    }

    private static ValueTask<FluidValue> List(FluidValue input, string and)
    {
        var parts = input is ArrayValue { Values: var values } ? values.Select(v => v.ToStringValue()).ToList() : [input.ToStringValue()];
        return Text(parts.Count < 2 ? string.Concat(parts) : string.Join(", ", parts.Take(parts.Count - 1)) + and + parts[^1]);
    }

    private static string InWords(Quantity quantity) =>
        quantity.Unit switch
        {
            Unit.Percent => Figure(quantity.Value * 100) + " %",
            Unit.Seconds => Figure(quantity.Value) + " s",
            Unit.Cm => Figure(quantity.Value) + " cm",
            Unit.Litres => Figure(quantity.Value) + " L",
            _ => Figure(quantity.Value) + " kg",
        };

    private static string Figure(double value) => value.ToString("0.###", CultureInfo.InvariantCulture);

    private static string First(string text, Func<char, char> change) => text.Length == 0 ? text : change(text[0]) + text[1..];

    private static ValueTask<FluidValue> Text(string text) => new(new StringValue(text, false));
}
