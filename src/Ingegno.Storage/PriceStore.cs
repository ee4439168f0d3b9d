using Dapper;

namespace Ingegno.Storage;

/// <summary>Prices that a coach set for things on offer.</summary>
public sealed class PriceStore(Database database)
{
    /// <summary>The prices by name of the thing.</summary>
    public IReadOnlyDictionary<string, double> All(long coachId)
    {
        using var connection = database.Open();
        return connection
            .Query<(string Name, double Price)>(
                "SELECT name, price FROM own_price WHERE coach_id = @coachId ORDER BY name",
                new { coachId }
            )
            .ToDictionary(p => p.Name, p => p.Price);
    }

    /// <summary>Sets one price, above 0.</summary>
    public void Set(long coachId, string name, double price)
    {
        using var connection = database.Open();
        connection.Execute(
            "INSERT INTO own_price (coach_id, name, price) VALUES (@coachId, @name, @price) ON CONFLICT (coach_id, name) DO UPDATE SET price = excluded.price",
            new
            {
                coachId,
                name,
                price,
            }
        );
    }

    /// <summary>Back to the usual prices.</summary>
    public void Clear(long coachId)
    {
        using var connection = database.Open();
        connection.Execute("DELETE FROM own_price WHERE coach_id = @coachId", new { coachId });
    }
}
